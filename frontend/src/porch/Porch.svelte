<script lang="ts">
  import { onMount } from 'svelte'
  import Lesson from '../lesson/Lesson.svelte'
  import { ask } from '../rooms/api'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { DoorSign } from '../wire/generated'

  let { door, link }: { door: 'student' | 'onlooker'; link: string } = $props()
  let sign = $state.raw<DoorSign | null>(null)
  let name = $state('')
  let problem = $state('')
  let inside = $state(false)
  let busy = $state(false)

  /** The one thing to do on this page. */
  const focus = (element: HTMLElement) => element.focus()

  onMount(async () => {
    try {
      sign = await ask<DoorSign>('GET', `/api/doors/${door}/${link}`)
      document.title = `${sign.title} · Sun Room`
      // After a reload it is the same seat, without asking again.
      if (sign.name) inside = true
      else if (door === 'onlooker') await enter('Onlooker')
    } catch (error) {
      problem = (error as Error).message
    }
  })

  async function enter(as: string) {
    busy = true
    problem = ''
    try {
      sign = await ask<DoorSign>('POST', `/api/doors/${door}/${link}`, { name: as })
      inside = true
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

{#if inside}
  <Lesson {door} {link} board="" />
{:else}
  <div class="frame">
    <header><Brand /></header>
    <main>
      {#if sign}
        <h1>{sign.title}</h1>
        <p class="muted">A lesson with {sign.tutor}</p>
        {#if door === 'student'}
          <form
            onsubmit={(event) => {
              event.preventDefault()
              void enter(name)
            }}
          >
            <Field label="Your name" bind:value={name} {problem} autocomplete="given-name" {@attach focus} />
            <Button kind="go" type="submit" disabled={busy}>Come in</Button>
          </form>
          <p class="muted">The others in the lesson see this name. You need no account.</p>
        {/if}
      {:else if problem}
        <h1>No way in here</h1>
        <p role="alert">{problem}</p>
      {:else}
        <p class="muted">Finding the room.</p>
      {/if}
    </main>
  </div>
{/if}

<style>
  .frame {
    min-height: 100%;
    background: var(--sand);
  }
  header {
    height: 52px;
    background: var(--frame);
    display: flex;
    align-items: center;
    padding: 0 18px;
  }
  main {
    max-width: 460px;
    margin: 0 auto;
    padding: 12vh 20px 40px;
    display: grid;
    gap: 14px;
  }
  h1 {
    font: 600 34px/1.15 var(--title);
    overflow-wrap: anywhere;
  }
  .muted {
    color: var(--muted);
  }
  form {
    margin: 10px 0 4px;
    padding: 22px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-left: 6px solid var(--sun);
    border-radius: var(--radius);
    display: grid;
    gap: 14px;
  }
</style>

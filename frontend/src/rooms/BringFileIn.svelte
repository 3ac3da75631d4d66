<script lang="ts" generics="T">
  /** A file that was taken along, brought in again: a board or a whole room. */
  import Button from '../ui/Button.svelte'
  import { ask } from '../wire/api'
  import { t } from '../words/words.svelte'

  interface Props {
    /** Where the file goes. */
    to: string
    what: 'board' | 'room'
    label: string
    hint?: string
    onbrought: (answer: T) => unknown
  }
  let { to, what, label, hint, onbrought }: Props = $props()
  let input: HTMLInputElement
  /** A file on its way to the server; aborting gives it up. */
  let bringing = $state.raw<AbortController | null>(null)
  let problem = $state('')

  async function take() {
    const [file] = input.files ?? []
    input.value = ''
    if (!file) return
    problem = ''
    bringing = new AbortController()
    try {
      await onbrought(await ask<T>('POST', to, file, bringing.signal))
    } catch (error) {
      problem = (error as Error).message
    } finally {
      bringing = null
    }
  }
</script>

<span class="row">
  {#if bringing}
    <span role="status">{what === 'room' ? t('bringing-room-in') : t('bringing-board-in')}</span>
    <Button onclick={() => bringing?.abort()}>{t('give-up')}</Button>
  {:else}
    <Button kind="quiet" title={hint} onclick={() => input.click()}>{label}</Button>
  {/if}
  <input
    bind:this={input}
    type="file"
    accept=".zip,application/zip"
    aria-label={what === 'room' ? t('file-of-a-whole-room') : t('file-of-a-saved-board')}
    onchange={take}
  />
  {#if problem}<span class="problem" role="alert">{problem}</span>{/if}
</span>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
  }
  input {
    display: none;
  }
  .problem {
    color: var(--clay);
    flex-basis: 100%;
  }
</style>

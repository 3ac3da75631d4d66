<script lang="ts">
  import { bayBox } from '../../board/bays'
  import type { Surface } from '../board/surface.svelte'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Hint from '../../ui/Hint.svelte'
  import Popover from '../../ui/Popover.svelte'
  import type { Bay } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const head = $derived(session.board.version >= 0 ? session.pages.now?.head : undefined)
  const bay = $derived(head?.bays.find(({ id }) => id === session.pages.bay))
  const students = $derived(session.people.list.filter(({ role }) => role === 'student'))
  const RULES: { value: Bay['rule']; label: string }[] = [
    { value: 'page', label: t('as-the-page') },
    { value: 'tutor_side', label: t('tutor-side') },
    { value: 'open', label: t('rule-open') },
    { value: 'people', label: t('some-people') },
  ]
  const PRINTS: { value: Bay['prints']; label: string }[] = [
    { value: 'page', label: t('with-the-page') },
    { value: 'own', label: t('also-on-its-own') },
    { value: 'no', label: t('not-saved') },
  ]

  function set(changes: Partial<Bay>) {
    if (!head || !bay) return
    session.do({ step: 'put_bay', page: head.id, bay: { ...bay, ...changes } })
  }

  function remove() {
    if (!head || !bay) return
    session.do({ step: 'drop_bay', page: head.id, bay: bay.id })
    session.pages.bay = ''
  }

  function toggle(seat: string) {
    const { people } = bay!
    set({ people: people.includes(seat) ? people.filter((other) => other !== seat) : [...people, seat] })
  }
</script>

{#if head?.bays.length}
  <Button onclick={() => surface?.looking.nextBay(-1)} aria-label={t('the-bay-before')}>‹</Button>
  <Button onclick={() => surface?.looking.nextBay(1)} aria-label={t('the-next-bay')}>›</Button>
{/if}
{#if bay}
  <input
    value={bay.title}
    maxlength="80"
    placeholder={t('title')}
    aria-label={t('title-of-the-bay')}
    onchange={(event) => set({ title: event.currentTarget.value.trim() })}
  />
  <Popover label={t('who-writes-in-this-bay')} now={RULES.find(({ value }) => value === bay.rule)?.label}>
    {#snippet children()}
      <div class="panel">
        <Choice
          label={t('who-writes')}
          options={RULES}
          bind:value={() => bay.rule, (rule) => set({ rule })}
        />
        {#if bay.rule === 'people'}
          <div class="people">
            {#each students as { seat, name } (seat)}
              <label
                ><input
                  type="checkbox"
                  checked={bay.people.includes(seat)}
                  onchange={() => toggle(seat)}
                />{name}</label
              >
            {:else}
              <p>{t('no-student-is-here-yet')}</p>
            {/each}
          </div>
        {/if}
        <Choice
          label={t('saved')}
          options={PRINTS}
          bind:value={() => bay.prints, (prints) => set({ prints })}
        />
      </div>
    {/snippet}
  </Popover>
  <Button onclick={() => session.attention.leadTo(bayBox(bay))}>{t('look-here')}</Button>
  <Button kind="stop" onclick={remove}>{t('remove')}</Button>
{:else}
  <Hint>{t('drag-out-a-bay-an')}</Hint>
{/if}

<style>
  input:not([type]) {
    height: 42px;
    width: 150px;
    padding: 0 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    min-width: 0;
  }
  .panel {
    display: grid;
    gap: 10px;
  }
  .people {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 14px;
    max-height: 200px;
    overflow-y: auto;
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 34px;
  }
</style>

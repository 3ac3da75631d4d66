<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Popover from '../../ui/Popover.svelte'
  import Radios from '../../ui/Radios.svelte'
  import { rightWords } from '../../people/kits'
  import type { Right, SetPens } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import KitPanel from './KitPanel.svelte'

  interface Props {
    session: Session
    /** There is room for one button only. */
    small?: boolean
    /** There is no room for what a pen may do in words. */
    short?: boolean
  }
  let { session, small = false, short = false }: Props = $props()
  const facts = $derived(session.lesson!.facts)
  const may = $derived(t('pens-may', { what: rightWords(facts.kit as Right[]) }))

  const choices = $derived<{ mode: SetPens['mode']; label: string; hint: string }[]>([
    { mode: 'down', label: t('pens-down'), hint: t('pens-down-hint') },
    {
      mode: 'passed',
      label:
        facts.mode === 'passed' ? t('pens-passed-count', { count: facts.passed.length }) : t('pens-passed'),
      hint: t('pens-passed-hint'),
    },
    { mode: 'up', label: t('pens-up'), hint: t('pens-up-hint') },
  ])
  const now = $derived(choices.find(({ mode }) => mode === facts.mode)!.label)
</script>

{#snippet choose(look: 'bar' | 'rows')}
  <Radios
    label={t('who-may-write')}
    options={choices}
    name={({ label }) => label}
    hint={({ hint }) => hint}
    taken={({ mode }) => facts.mode === mode}
    ontake={({ mode }) => session.tell({ command: 'set_pens', mode })}
    {look}
  />
{/snippet}

{#if facts.paused}
  <span class="paused">{t('lesson-paused')}</span>
  <Button kind="cream" onclick={() => session.tell({ command: 'pause_lesson', paused: false })}
    >{t('go-on')}</Button
  >
{:else if small}
  <Popover label={t('who-may-write')} {now} below dark>
    {#snippet face()}<span class="now">{now}</span>{/snippet}
    {#snippet children()}
      <div class="both">
        {@render choose('rows')}
        <KitPanel {session} />
      </div>
    {/snippet}
  </Popover>
{:else}
  {@render choose('bar')}
  <Popover label={t('what-pens-may')} title={may} now={short ? t('pens-may-short') : may} below dark>
    {#snippet face()}<span class="may">{short ? t('pens-may-short') : may}</span>{/snippet}
    {#snippet children()}<KitPanel {session} />{/snippet}
  </Popover>
{/if}

<style>
  .paused,
  .now {
    font-weight: 600;
    white-space: nowrap;
  }
  .paused {
    background: var(--sun);
    color: var(--on-sun);
    padding: 8px 12px;
    border-radius: 3px;
  }
  .may {
    font-weight: 400;
    font-size: 14px;
    max-width: 180px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
</style>

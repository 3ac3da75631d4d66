<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Choice from '../ui/Choice.svelte'
  import type { SetDoor } from '../wire/generated'
  import type { Session } from '../lesson/session.svelte'
  import { t } from '../words/words.svelte'

  let { session }: { session: Session } = $props()
  let door = $state<SetDoor['door'] | null>(null)
  let code = $state('')
  const shown = $derived(door ?? session.lesson!.door)
  const DOORS = $derived<{ value: SetDoor['door']; label: string }[]>([
    { value: 'open', label: t('door-open') },
    { value: 'knock', label: t('door-knock') },
    { value: 'code', label: t('door-code') },
  ])
  const hint = $derived(
    { open: t('door-open-hint'), knock: t('door-knock-hint'), code: t('door-code-hint') }[shown],
  )

  function setDoor(wanted: SetDoor['door']) {
    door = wanted
    if (wanted !== 'code') session.tell({ command: 'set_door', door: wanted, code: '' })
  }
</script>

<section>
  <h3>{t('the-door')}</h3>
  <Choice label={t('come-in-by')} options={DOORS} bind:value={() => shown, setDoor} />
  {#if shown === 'code'}
    <div class="row">
      <input
        bind:value={code}
        maxlength="12"
        placeholder={session.classroom.code || t('code-hint')}
        aria-label={t('code-of-door')}
      />
      <Button onclick={() => session.tell({ command: 'set_door', door: 'code', code })}
        >{t('set-code')}</Button
      >
    </div>
    {#if session.classroom.code}<p>{t('code-is', { code: session.classroom.code })}</p>{/if}
  {/if}
  <p>{hint}</p>
</section>

<style>
  section {
    display: grid;
    gap: 6px;
    padding: 8px;
    border-top: 1px solid var(--sand-line);
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  input {
    flex: 1;
    min-height: 40px;
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  p {
    font-size: 13px;
    color: var(--muted);
  }
</style>

<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import type { SetPens } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const facts = $derived(session.lesson!.facts)

  const choices = $derived<{ mode: SetPens['mode']; label: string; hint: string }[]>([
    { mode: 'down', label: 'Pens down', hint: 'Only the tutor side writes' },
    {
      mode: 'passed',
      label: facts.mode === 'passed' ? `Passed · ${facts.passed.length}` : 'Passed',
      hint: 'Those who hold a pen write; pass one beside a name',
    },
    { mode: 'up', label: 'Pens up', hint: 'All students write' },
  ])
</script>

<Radios
  label="Who may write"
  options={choices}
  name={({ label }) => label}
  hint={({ hint }) => hint}
  taken={({ mode }) => facts.mode === mode}
  ontake={({ mode }) => session.tell({ command: 'set_pens', mode })}
  look="bar"
/>

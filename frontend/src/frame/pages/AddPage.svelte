<script lang="ts">
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { Paper } from '../../wire/generated'
  import { FIRST_PAPER } from '../../lesson/papers'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const head = $derived(session.pages.now?.head)
  const PAPERS = $derived<{ label: string; hint: string; paper: Paper }[]>([
    { label: t('paper-same'), hint: t('paper-same-hint'), paper: head?.paper ?? FIRST_PAPER },
    { label: t('paper-endless'), hint: t('paper-endless-hint'), paper: FIRST_PAPER },
    {
      label: t('paper-roll'),
      hint: t('paper-roll-hint'),
      paper: { ...FIRST_PAPER, kind: 'roll', ruling: 'lines' },
    },
    { label: t('paper-a4-squares'), hint: t('paper-lying'), paper: { ...FIRST_PAPER, kind: 'sheet' } },
    {
      label: t('paper-a4-plain'),
      hint: t('paper-standing'),
      paper: { ...FIRST_PAPER, kind: 'sheet', ruling: 'plain', width: 794, height: 1123 },
    },
  ])

  function add(paper: Paper) {
    onclose()
    session.addPage('', paper)
  }
</script>

<div class="papers">
  {#each PAPERS as { label, hint, paper } (label)}
    <MenuButton onclick={() => add(paper)}><b>{label}</b> <span>{hint}</span></MenuButton>
  {/each}
  <MenuButton
    onclick={() => {
      onclose()
      session.readying = true
    }}><b>{t('template-page')}</b> <span>{t('template-page-hint')}</span></MenuButton
  >
</div>

<style>
  .papers {
    display: grid;
    min-width: 260px;
  }
  span {
    color: var(--muted);
    font-size: 13px;
  }
</style>

<script lang="ts">
  /** What of the board can be taken along: open formats only. */
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const board = $derived(`/boards/${session.welcome?.board.id}`)
</script>

<div>
  <a href="{board}/board.pdf" download><b>{t('take-pdf')}</b><span>{t('take-pdf-hint')}</span></a>
  {#if session.people.role === 'tutor'}
    <a href="{board}/board.zip" download><b>{t('take-package')}</b><span>{t('take-package-hint')}</span></a>
  {/if}
</div>

<style>
  div {
    display: grid;
    min-width: 250px;
  }
  a {
    display: grid;
    align-content: center;
    min-height: 52px;
    padding: 4px 10px;
    border-radius: 3px;
    color: var(--ink);
    text-decoration: none;
  }
  a:hover {
    background: var(--sand);
  }
  span {
    font-size: 13px;
    color: var(--muted);
  }
</style>

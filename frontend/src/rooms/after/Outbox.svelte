<script lang="ts">
  /** Mails as they left the room. */
  import type { Letter } from '../../wire/generated'
  import { when } from '../../words/time'
  import { t } from '../../words/words.svelte'

  let { letters }: { letters: Letter[] } = $props()
</script>

<div class="letters">
  {#each letters as letter, i (i)}
    <details>
      <summary
        >{t('letter-to', { to: letter.to, when: when(letter.at_ms) })}
        {#if letter.problem}<b>{t('letter-not-sent')}</b>{/if}</summary
      >
      <p><b>{letter.subject}</b></p>
      {#if letter.problem}<p class="problem">{letter.problem}</p>{/if}
      <p class="text">{letter.text}</p>
      {#if letter.files.length}<p class="muted">
          {t('letter-files', { files: letter.files.join(', ') })}
        </p>{/if}
    </details>
  {/each}
</div>

<style>
  .letters {
    max-height: 300px;
    overflow-y: auto;
  }
  summary {
    min-height: 40px;
    cursor: pointer;
    overflow-wrap: anywhere;
  }
  p {
    margin: 4px 0;
  }
  .text {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .problem,
  summary b {
    color: var(--clay);
  }
</style>

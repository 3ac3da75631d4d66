<script lang="ts">
  /** The students' link, one press away: to copy, to scan, to mail. */
  import CopyLink from '../ui/CopyLink.svelte'
  import type { Session } from '../lesson/session.svelte'
  import Popover from '../ui/Popover.svelte'
  import { t } from '../words/words.svelte'

  let { session, link }: { session: Session; link: string } = $props()
  const path = $derived(`/r/${session.welcome?.link ?? link}`)
  let copied = $state('')

  /** A few lines for any call's chat: where the board is, for whoever sees only a picture of it. */
  async function copyCard() {
    const values = { room: session.welcome?.room ?? '', address: location.origin + path }
    try {
      await navigator.clipboard.writeText(t('invite-card-text', values))
      copied = t('copied')
    } catch {
      copied = t('copy-refused')
    }
  }

  const mail = $derived.by(() => {
    const values = { room: session.welcome?.room ?? '', address: location.origin + path }
    const subject = encodeURIComponent(t('invite-subject', { room: values.room }))
    return `mailto:?subject=${subject}&body=${encodeURIComponent(t('invite-mail', values))}`
  })
</script>

<Popover label={t('invite')} side="right" below>
  {#snippet children()}
    <div class="panel">
      <h3>{t('invite-students')}</h3>
      <img
        src="/api/doors/student/{session.welcome?.link ?? link}/link.svg"
        alt={t('invite-qr')}
        width="190"
        height="190"
      />
      <CopyLink {path} />
      <button onclick={copyCard}>{copied || t('invite-card')}</button>
      <a href={mail}>{t('invite-by-mail')}</a>
      <p>
        {#if session.lesson?.door === 'knock'}{t('invite-knock')}{:else if session.lesson?.door === 'code'}{t(
            'invite-code',
            { code: session.classroom.code },
          )}{:else}{t('invite-open')}{/if}
      </p>
    </div>
  {/snippet}
</Popover>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 300px;
    max-width: 100%;
    color: var(--ink);
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  img {
    justify-self: center;
    background: #fff;
  }
  a,
  button {
    min-height: 40px;
    background: none;
    font: inherit;
    font-weight: 600;
    display: flex;
    align-items: center;
    justify-content: center;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
  }
  p {
    font-size: 13px;
    color: var(--muted);
  }
</style>

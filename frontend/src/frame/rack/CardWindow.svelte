<script lang="ts">
  /** A card for what lies elsewhere: what it is called and where it leads. */
  import type { Point } from '../../board/place'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Field from '../../ui/Field.svelte'
  import Radios from '../../ui/Radios.svelte'
  import { addressOf } from '../../ui/address'
  import { MAX_CARD_TITLE, type CardItem } from '../../wire/generated'
  import { t } from '../../words/words.svelte'

  let { session, card, at }: { session: Session; card: CardItem | null; at: () => Point } = $props()
  // svelte-ignore state_referenced_locally
  let title = $state(card?.title ?? '')
  // svelte-ignore state_referenced_locally
  let address = $state(card?.address ?? '')
  let of = $state<CardItem['of']>('link')
  let problem = $state('')
  let dialog: Dialog

  const KINDS = ['link', 'sound', 'video'] as const
  const NAMES = { link: 'card-link', sound: 'card-sound', video: 'card-video' } as const
  function keep(event: SubmitEvent) {
    event.preventDefault()
    const own = Boolean(card?.file)
    const whole = addressOf(address)
    if (!own && !whole) {
      problem = t('card-address-problem')
      return
    }
    const name = title.trim() || whole.replace(/^\w+:(\/\/)?/, '').slice(0, MAX_CARD_TITLE)
    if (card) session.cards.edit(card, name, own ? '' : whole)
    else session.cards.put({ of, title: name, address: whole, file: '' }, at())
    dialog.close()
  }
</script>

<Dialog
  bind:this={dialog}
  title={t(card ? 'card-change' : 'card-new')}
  width={440}
  onclose={() => (session.cards.writing = undefined)}
>
  <form onsubmit={keep}>
    {#if !card?.file}
      <Field
        label={t('card-address')}
        bind:value={address}
        {problem}
        placeholder="https://"
        inputmode="url"
        autocomplete="off"
        spellcheck="false"
      />
    {/if}
    <Field label={t('card-title')} bind:value={title} maxlength={MAX_CARD_TITLE} autocomplete="off" />
    {#if !card}
      <Radios
        look="buttons"
        label={t('card-of')}
        options={KINDS}
        name={(kind) => t(NAMES[kind])}
        taken={(kind) => kind === of}
        ontake={(kind) => (of = kind)}
      />
    {/if}
    <p class="hint">{t('card-hint')}</p>
    <div class="row"><Button kind="go" type="submit">{t(card ? 'keep-it' : 'card-put')}</Button></div>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 14px;
  }
  .hint {
    color: var(--muted);
    font-size: 13px;
  }
  .row {
    display: flex;
    justify-content: flex-end;
  }
</style>

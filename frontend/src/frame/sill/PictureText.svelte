<script lang="ts">
  /** What a picture shows, for those who cannot see it. */
  import { MAX_LABEL, type PictureItem } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import { t } from '../../words/words.svelte'

  let { session, picture, onclose }: { session: Session; picture: PictureItem; onclose: () => void } =
    $props()
  // svelte-ignore state_referenced_locally
  let text = $state(picture.text)

  function keep(event: SubmitEvent) {
    event.preventDefault()
    session.do({
      step: 'edit_text',
      page: session.pages.id,
      id: picture.id,
      text: text.trim(),
      spans: [],
      family: 'sans',
      align: 'left',
      listing: 'none',
    })
    onclose()
  }
</script>

<form onsubmit={keep}>
  <label>
    <span>{t('picture-text-hint')}</span>
    <textarea bind:value={text} maxlength={MAX_LABEL} rows="3"></textarea>
  </label>
  <Button kind="go" type="submit">{t('keep-it')}</Button>
</form>

<style>
  form,
  label {
    display: grid;
    gap: 8px;
    width: 300px;
    max-width: 100%;
  }
  span {
    font-size: 13px;
    color: var(--muted);
  }
  textarea {
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
  }
</style>

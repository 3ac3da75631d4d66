<script lang="ts">
  import { t } from '../words/words.svelte'
  let { path }: { path: string } = $props()
  let copied = $state(false)
  let field = $state<HTMLInputElement>()
  const address = $derived(location.origin + path)

  async function copy() {
    try {
      await navigator.clipboard.writeText(address)
    } catch {
      // Without https there is no clipboard: the address is marked, ready for the keys.
      field!.value = address
      field!.select()
      if (!document.execCommand('copy')) return
    }
    copied = true
    setTimeout(() => (copied = false), 2_000)
  }
</script>

<div class="link">
  <input
    readonly
    value={address.replace(/^https?:\/\//, '')}
    aria-label={t('link')}
    bind:this={field}
    onfocus={() => field?.select()}
  />
  <button onclick={copy}>{copied ? t('copied') : t('copy')}</button>
</div>

<style>
  .link {
    display: flex;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  input {
    flex: 1;
    min-width: 0;
    border: 0;
    background: none;
    padding: 0 10px;
    height: 40px;
    text-overflow: ellipsis;
    font-size: 14px;
  }
  button {
    border: 0;
    background: none;
    color: var(--leaf-dark);
    font-weight: 700;
    padding: 0 12px;
  }
</style>

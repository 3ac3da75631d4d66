<script lang="ts">
  import { contrast, LEAST_CONTRAST, readColour } from './colour'
  import { t, type Plain } from '../words/words.svelte'

  interface Props {
    label: string
    value: string
    paper: string
    recent: string[]
    /** Whether no colour at all is a choice. */
    none?: boolean
    onchoose: (colour: string) => void
  }
  let { label, value, paper, recent, none = false, onchoose }: Props = $props()
  let typed = $state('')
  let wrong = $state(false)

  /** Eight hues from dark to light, and greys. */
  const GRID: { hue: Plain; shades: string[] }[] = [
    { hue: 'hue-grey', shades: ['#16222b', '#3c4a54', '#6b7780', '#9aa4ab', '#c9d0d4', '#ffffff'] },
    { hue: 'hue-red', shades: ['#5e1f12', '#8c3522', '#b4472c', '#cf6b50', '#e6a08c', '#f6d5cb'] },
    { hue: 'hue-yellow', shades: ['#5c3b05', '#8a5d05', '#b9800f', '#dda43a', '#f2c41d', '#fbe7a9'] },
    { hue: 'hue-green', shades: ['#173f2d', '#225c42', '#2f7d5b', '#4f9f7b', '#8ac4a8', '#cfe8dc'] },
    { hue: 'hue-teal', shades: ['#0e3a4a', '#14566e', '#1d7794', '#3f9bb8', '#7fc3d8', '#c9e6ef'] },
    { hue: 'hue-blue', shades: ['#12325c', '#184a80', '#1f5fa8', '#4d86c6', '#8fb4e0', '#d0e1f4'] },
    { hue: 'hue-purple', shades: ['#3a2160', '#522e80', '#6b3fa0', '#8d66bd', '#b79ad8', '#e1d5ef'] },
    { hue: 'hue-pink', shades: ['#5c1740', '#842560', '#a93a80', '#c666a0', '#e09cc4', '#f5d6e7'] },
  ]
  const weak = $derived(value !== '' && contrast(value, paper) < LEAST_CONTRAST)

  function take() {
    const colour = readColour(typed)
    wrong = colour === null
    if (colour) onchoose(colour)
  }
</script>

<fieldset>
  <legend>{label}</legend>
  {#snippet swatch(colour: string, name = colour)}
    <button
      class="swatch"
      style:background={colour}
      aria-label={name}
      title={name}
      aria-pressed={value === colour}
      onclick={() => onchoose(colour)}
    ></button>
  {/snippet}
  <div class="grid">
    {#each GRID as { hue, shades } (hue)}
      {#each shades as colour, i (colour)}
        {@render swatch(colour, t('swatch', { hue: t(hue), shade: i + 1, colour }))}
      {/each}
    {/each}
  </div>
  {#if recent.length}
    <div class="row">
      <span class="muted">{t('recent')}</span>{#each recent as colour (colour)}{@render swatch(colour)}{/each}
    </div>
  {/if}
  <div class="row">
    <label>
      <span class="muted">{t('number')}</span>
      <input
        value={value.replace('#', '')}
        maxlength="7"
        spellcheck="false"
        aria-invalid={wrong}
        oninput={(event) => (typed = event.currentTarget.value)}
        onchange={take}
      />
    </label>
    {#if none}
      <button class="none" aria-pressed={value === ''} onclick={() => onchoose('')}>{t('none')}</button>
    {/if}
  </div>
  {#if wrong}
    <p role="alert">{t('six-digits-from-0-to')}</p>
  {:else if weak}
    <p role="status">{t('hard-to-see-on-this')}</p>
  {/if}
</fieldset>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    display: grid;
    gap: 8px;
  }
  legend {
    font-weight: 600;
    padding: 0;
    margin-bottom: 6px;
  }
  .grid {
    display: grid;
    grid-auto-flow: column;
    grid-template-rows: repeat(6, 26px);
    gap: 3px;
    justify-content: start;
  }
  .swatch {
    width: 28px;
    height: 26px;
    padding: 0;
    border: 1px solid rgb(22 34 43 / 22%);
    border-radius: 3px;
  }
  .swatch[aria-pressed='true'] {
    outline: 2.5px solid var(--leaf);
    outline-offset: 1px;
  }
  .row {
    display: flex;
    align-items: center;
    gap: 4px;
  }
  .muted {
    color: var(--muted);
    font-size: 13px;
    margin-right: 6px;
  }
  input {
    width: 96px;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  .none {
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    margin-left: 8px;
  }
  .none[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  p {
    font-size: 13px;
    color: var(--clay);
    font-weight: 600;
  }
  @media (pointer: coarse) {
    .grid {
      grid-template-rows: repeat(6, 40px);
      gap: 2px;
    }
    .swatch {
      width: 40px;
      height: 40px;
    }
  }
</style>

<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Later from '../../ui/Later.svelte'
  import Hint from '../../ui/Hint.svelte'
  import type { Surface } from '../board/surface.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Button from '../../ui/Button.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { t } from '../../words/words.svelte'
  import BaySettings from './BaySettings.svelte'
  import { parts } from '../parts'
  import BringIn from '../rack/BringIn.svelte'
  import ChancePanel from './ChancePanel.svelte'
  import ChoosePanel from './ChoosePanel.svelte'
  import InstrumentSettings from './InstrumentSettings.svelte'
  import InkWells from './InkWells.svelte'
  import PenSettings from './PenSettings.svelte'
  import ShapeSettings from './ShapeSettings.svelte'
  import StampSettings from './StampSettings.svelte'
  import TextSettings from './TextSettings.svelte'
  import { HIGHLIGHT_NIBS, NOTE_COLOURS } from '../../lesson/tools.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const tools = $derived(session.tools)
  let table = $state(false)
</script>

{#snippet inks()}<InkWells {session} />{/snippet}

{#if tools.tool === 'pen'}
  <PenSettings {session} />
{:else if tools.tool === 'shape'}
  <ShapeSettings {session} />
{:else if tools.tool === 'text'}
  <TextSettings {session} />
{:else if tools.tool === 'formula'}
  {#snippet how()}<Hint>{t('formula-how')}</Hint>{/snippet}
  {#snippet elements()}<Button onclick={() => (table = true)}>{t('periodic-table')}</Button>{/snippet}
  <Fitting
    parts={[
      { key: 'inks', part: inks },
      { key: 'elements', part: elements },
      { key: 'how', part: how, hint: true },
    ]}
  />
{:else if tools.tool === 'stamp'}
  <StampSettings {session} />
{:else if tools.tool === 'bay'}
  <BaySettings {session} {surface} />
{:else if tools.tool === 'highlight'}
  {#snippet nibs()}
    <Choice
      label={t('highlighter')}
      options={HIGHLIGHT_NIBS.map((nib) => ({ value: nib.width, label: t(nib.word), dot: nib.width * 0.6 }))}
      bind:value={tools.highlightNib}
      onchange={() => tools.keep()}
    />
  {/snippet}
  {#snippet level()}
    <label class="check">
      <input type="checkbox" bind:checked={tools.straightHighlight} onchange={() => tools.keep()} />
      {t('keep-level')}
    </label>
  {/snippet}
  <Fitting
    parts={[
      { key: 'inks', part: inks },
      { key: 'nibs', part: nibs },
      { key: 'level', part: level },
    ]}
  />
{:else if tools.tool === 'note'}
  {#snippet colours()}
    <Radios
      label={t('note-colour')}
      options={NOTE_COLOURS}
      name={({ word }) => t(word)}
      colour={({ colour }) => colour}
      taken={({ colour }) => tools.noteColour === colour}
      ontake={({ colour }) => {
        tools.noteColour = colour
        tools.keep()
      }}
      look="wells"
    />
  {/snippet}
  {#snippet how()}<Hint>{t('note-how')}</Hint>{/snippet}
  <Fitting
    parts={[
      { key: 'colours', part: colours },
      { key: 'how', part: how, hint: true },
    ]}
  />
{:else if tools.tool === 'table'}
  {#snippet chance()}
    <Popover label={t('chance')}>
      {#snippet children(close)}
        <ChancePanel {session} middle={() => surface?.looking.middle() ?? [0, 0]} onclose={close} />
      {/snippet}
    </Popover>
  {/snippet}
  {#snippet how()}<Hint>{t('table-how')}</Hint>{/snippet}
  <Fitting
    parts={[
      { key: 'chance', part: chance },
      { key: 'how', part: how, hint: true },
    ]}
  />
{:else if tools.tool === 'bring'}
  <BringIn {session} {surface} />
{:else if tools.tool === 'select'}
  {#snippet by()}
    <Choice
      label={t('select-by')}
      options={[
        { value: 'box', label: t('select-box') },
        { value: 'lasso', label: t('select-lasso') },
      ]}
      bind:value={tools.selectBy}
    />
  {/snippet}
  {#snippet choose()}
    <Popover label={t('choose')}>
      {#snippet children(close)}<ChoosePanel {session} onclose={close} />{/snippet}
    </Popover>
  {/snippet}
  {#snippet snap()}
    <label class="check">
      <input type="checkbox" bind:checked={tools.snap} onchange={() => tools.keep()} />
      {t('snap')}
    </label>
  {/snippet}
  {#snippet how()}<Hint>{t('shift-adds')}</Hint>{/snippet}
  <Fitting
    parts={[
      { key: 'by', part: by },
      { key: 'choose', part: choose },
      { key: 'snap', part: snap },
      { key: 'how', part: how, hint: true },
    ]}
  />
{:else if tools.tool === 'eraser'}
  {#snippet takes()}
    <Choice
      label={t('eraser-takes')}
      options={[
        { value: 'stroke', label: t('eraser-strokes') },
        { value: 'rub', label: t('eraser-rubs') },
      ]}
      bind:value={tools.eraseBy}
      onchange={() => tools.keep()}
    />
  {/snippet}
  {#snippet how()}<Hint>{t('eraser-how')}</Hint>{/snippet}
  <Fitting
    parts={[
      { key: 'takes', part: takes },
      { key: 'how', part: how, hint: true },
    ]}
  />
{:else if tools.tool === 'ruler' && surface}
  <InstrumentSettings {session} {surface} />
{:else if tools.tool === 'pointer'}
  {#snippet point()}
    <Choice
      label={t('point-with')}
      options={[
        { value: 'light', label: t('point-light') },
        { value: 'arrow', label: t('point-arrow') },
      ]}
      bind:value={tools.pointWith}
      onchange={() => tools.keep()}
    />
  {/snippet}
  {#snippet mine()}
    <Button onclick={() => session.send({ type: 'clear_pointers', everyone: false })}
      >{t('take-mine-away')}</Button
    >
  {/snippet}
  {#snippet allAway()}
    <Button onclick={() => session.send({ type: 'clear_pointers', everyone: true })}
      >{t('clear-pointers')}</Button
    >
  {/snippet}
  <Fitting
    parts={[
      { key: 'point', part: point },
      surface?.traces.hasArrows && { key: 'mine', part: mine },
      surface?.traces.hasArrows && session.people.tutorSide && { key: 'all', part: allAway },
    ]}
  />
{:else}
  {#snippet whole()}<Button onclick={() => surface?.looking.fitPage()}>{t('whole-page')}</Button>{/snippet}
  {#snippet how()}<Hint>{t('move-how')}</Hint>{/snippet}
  <Fitting
    parts={[
      { key: 'whole', part: whole },
      { key: 'how', part: how, hint: true },
    ]}
  />
{/if}

{#if table && surface}
  <Later
    load={parts.elements}
    props={{ session, middle: () => surface.looking.middle(), onclose: () => (table = false) }}
  />
{/if}

<style>
  .check {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
    white-space: nowrap;
  }
</style>

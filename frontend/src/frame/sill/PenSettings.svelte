<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import ColourField from '../../ui/ColourField.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import Slider from '../../ui/Slider.svelte'
  import Tiles from '../../ui/Tiles.svelte'
  import { percent } from '../../words/time'
  import { t } from '../../words/words.svelte'
  import InkWells from './InkWells.svelte'
  import PenPicture from './PenPicture.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { contrast, LEAST_CONTRAST } from '../../ui/colour'
  import { endNames } from './ends'
  import { NIB_NAMES, PEN_WIDTHS, type ReadyPen } from '../../lesson/tools.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const pen = $derived(tools.inHand)
  const paper = $derived(
    session.pages.heads.find((head) => head.id === session.pages.id)?.paper.colour ?? '#ffffff',
  )
  const KINDS = $derived(
    Object.entries(NIB_NAMES).map(([value, word]) => ({ value: value as ReadyPen['nib'], label: t(word) })),
  )

  function take(index: number) {
    tools.pen = index
    tools.keep()
  }

  function colour(chosen: string) {
    tools.setPen({ colour: chosen })
    tools.mixed(chosen)
  }
</script>

{#snippet ready()}
  <Tiles
    label={t('pens')}
    options={tools.pens}
    taken={tools.pen}
    name={(ready) => t('pen-name', { kind: t(NIB_NAMES[ready.nib]), width: ready.width })}
    ontake={take}
    width={screen.phone ? 44 : 64}
  >
    {#snippet picture(ready)}<PenPicture pen={ready} />{/snippet}
  </Tiles>
{/snippet}
{#snippet change()}
  <Popover label={t('change-pen')} now={t('change')}>
    {#snippet children()}
      <div class="panel">
        <div class="side">
          <Choice
            label={t('pen-kind')}
            options={KINDS}
            bind:value={() => pen.nib, (nib) => tools.setPen({ nib })}
          />
          <Slider
            label={t('width')}
            value={pen.width}
            least={PEN_WIDTHS.least}
            most={PEN_WIDTHS.most}
            step={0.1}
            onchange={(width) => tools.setPen({ width })}
          />
          <Slider
            label={t('opacity')}
            value={pen.opacity}
            least={0.1}
            most={1}
            step={0.05}
            show={percent}
            onchange={(opacity) => tools.setPen({ opacity })}
          />
          <Slider
            label={t('steadiness')}
            value={pen.steady}
            least={0}
            most={1}
            step={0.05}
            show={percent}
            onchange={(steady) => tools.setPen({ steady })}
          />
          <Choice
            label={t('ends')}
            options={endNames()}
            bind:value={() => pen.ends, (ends) => tools.setPen({ ends })}
          />
          <label class="check">
            <input
              type="checkbox"
              checked={pen.speed}
              onchange={(event) => tools.setPen({ speed: event.currentTarget.checked })}
            />
            {t('pen-speed')}
          </label>
        </div>
        <ColourField label={t('colour')} value={pen.colour} {paper} recent={tools.recent} onchoose={colour} />
      </div>
    {/snippet}
  </Popover>
{/snippet}
{#snippet inks()}<InkWells {session} />{/snippet}
{#snippet weak()}<span class="weak">{t('hard-to-see-on-this')}</span>{/snippet}
{#snippet how()}<Hint>{t('pen-how')}</Hint>{/snippet}
<Fitting
  parts={[
    screen.phone && { key: 'inks', part: inks },
    { key: 'ready', part: ready },
    !screen.phone && { key: 'inks', part: inks },
    { key: 'change', part: change },
    contrast(pen.colour, paper) < LEAST_CONTRAST && { key: 'weak', part: weak },
    { key: 'how', part: how, hint: true },
  ]}
/>

<style>
  .panel {
    display: flex;
    flex-wrap: wrap;
    gap: 18px 26px;
  }
  .side {
    display: grid;
    gap: 8px;
    width: 372px;
    max-width: 100%;
  }
  .check {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 36px;
    font-size: 14px;
  }
  .weak {
    color: var(--clay);
    font-size: 14px;
    font-weight: 600;
  }
</style>

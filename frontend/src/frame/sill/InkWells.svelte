<script lang="ts">
  /** The inks: what is chosen, or being typed, is coloured; else the pen, or the highlighter, is dipped. */
  import Radios from '../../ui/Radios.svelte'
  import { screen } from '../../ui/screen.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { HIGHLIGHTS, INKS } from '../../lesson/tools.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const highlighting = $derived(tools.tool === 'highlight' && !session.editing)
  const all = $derived(highlighting ? HIGHLIGHTS : INKS)
  const wells = $derived(screen.phone ? all.slice(0, 3) : all)
  const chosen = $derived(session.editing?.colour ?? (highlighting ? tools.highlight : tools.ink))

  function dip(colour: string) {
    if (session.editing) {
      session.editing.colour = colour
      return session.editing.focus()
    }
    if (highlighting) tools.highlight = colour
    else tools.setPen({ colour })
    tools.keep()
    if (session.selection.ids.size) session.chosen.style({ colour })
  }
</script>

<Radios
  label={highlighting ? t('highlighter-colour') : t('ink')}
  options={wells}
  name={({ word }) => t(word)}
  colour={({ colour }) => colour}
  taken={({ colour }) => chosen === colour}
  ontake={({ colour }) => dip(colour)}
  look="inks"
/>

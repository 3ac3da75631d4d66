<script lang="ts">
  /** The voices of the others: only of those who may speak just now, whatever their browsers send. */
  import type { Session } from '../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const { call } = $derived(session)

  function play(stream: MediaStream, speaker: string) {
    return (audio: HTMLAudioElement) => {
      audio.srcObject = stream
      // Not every browser lets a loudspeaker be chosen.
      if (speaker && 'setSinkId' in audio) void audio.setSinkId(speaker).catch(() => {})
    }
  }
</script>

{#each call.others as { id, voice, may_voice } (id)}
  {@const stream = call.voices.get(id)}
  {#if stream}
    <audio autoplay muted={!voice || !may_voice} {@attach play(stream, call.kept.speaker)}></audio>
  {/if}
{/each}

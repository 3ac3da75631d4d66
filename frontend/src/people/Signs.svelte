<script lang="ts">
  import type { Reaction } from '../lesson/classroom.svelte'
  import type { Session } from '../lesson/session.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import { t } from '../words/words.svelte'
  import SignPicture from './SignPicture.svelte'
  import { SIGNS } from './signs'

  let { session }: { session: Session } = $props()
</script>

{#if session.rights.may('react')}
  <Popover label={t('show-a-sign')} now={t('signs')} side="right">
    {#snippet children(close)}
      <div class="signs">
        {#each Object.entries(SIGNS) as [kind, { word }] (kind)}
          <MenuButton onclick={() => (session.classroom.react(kind as Reaction), close())}
            ><span><SignPicture kind={kind as Reaction} />{t(word)}</span></MenuButton
          >
        {/each}
      </div>
    {/snippet}
  </Popover>
{/if}

<style>
  .signs {
    display: grid;
    min-width: 190px;
  }
  span {
    display: flex;
    align-items: center;
    gap: 10px;
  }
</style>

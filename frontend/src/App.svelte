<script lang="ts">
  import Later from './ui/Later.svelte'

  const [first, link = '', second = '', board = ''] = location.pathname.split('/').filter(Boolean)
  const home = first === 'rooms' && link !== ''
</script>

{#if first === 'r' && link && second === 'found'}
  <Later load={() => import('./porch/Found.svelte')} props={{ link }} />
{:else if (first === 'r' || first === 'watch') && link}
  <Later
    load={() => import('./porch/Porch.svelte')}
    props={{ door: first === 'r' ? 'student' : 'onlooker', link }}
  />
{:else if first === 'account'}
  <Later load={() => import('./account/Account.svelte')} props={{}} />
{:else if first === 'recover' && link && second}
  <Later load={() => import('./account/Recover.svelte')} props={{ uid: link, token: second }} />
{:else if first === 'pair'}
  <Later load={() => import('./pair/Pair.svelte')} props={{ given: location.search.slice(1) }} />
{:else if home && second === 'boards' && board}
  <Later load={() => import('./frame/Lesson.svelte')} props={{ door: 'tutor' as const, link, board }} />
{:else if home && second === 'wrap-up'}
  <Later load={() => import('./rooms/after/AfterLesson.svelte')} props={{ link }} />
{:else if home}
  <Later load={() => import('./rooms/Home.svelte')} props={{ link }} />
{:else}
  <Later load={() => import('./rooms/Start.svelte')} props={{}} />
{/if}

<script lang="ts">
  import Account from './account/Account.svelte'
  import Recover from './account/Recover.svelte'
  import Lesson from './lesson/Lesson.svelte'
  import Pair from './pair/Pair.svelte'
  import Porch from './porch/Porch.svelte'
  import Home from './rooms/Home.svelte'
  import Start from './rooms/Start.svelte'

  const [first, link, second, board] = location.pathname.split('/').filter(Boolean)
</script>

{#if first === 'r' && link}
  <Porch door="student" {link} />
{:else if first === 'watch' && link}
  <Porch door="onlooker" {link} />
{:else if first === 'account'}
  <Account />
{:else if first === 'recover' && link && second}
  <Recover uid={link} token={second} />
{:else if first === 'pair'}
  <Pair given={location.search.slice(1)} />
{:else if first === 'rooms' && link && second === 'boards' && board}
  <Lesson door="tutor" {link} {board} />
{:else if first === 'rooms' && link}
  <Home {link} />
{:else}
  <Start />
{/if}

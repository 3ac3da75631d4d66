<script lang="ts">
  let { href = '/', mark = false }: { href?: string; /** The mark alone. */ mark?: boolean } = $props()
</script>

<a {href} title="Sun Room"
  ><img src="/static/mark.svg" alt="" width="28" height="28" /><span class:unseen={mark}>Sun Room</span></a
>

<style>
  a {
    display: flex;
    align-items: center;
    gap: 8px;
    color: var(--on-frame);
    text-decoration: none;
    font: 600 21px/1 var(--title);
    white-space: nowrap;
    min-height: 40px;
    min-width: 40px;
    justify-content: center;
    flex: none;
  }
</style>

<script lang="ts">
  let { href = '/' }: { href?: string } = $props()
</script>

<a {href}><img src="/static/mark.svg" alt="" width="28" height="28" /><span>Sun Room</span></a>

<style>
  a {
    display: flex;
    align-items: center;
    gap: 8px;
    color: var(--on-frame);
    text-decoration: none;
    font: 600 21px/1 var(--title);
    white-space: nowrap;
  }
</style>

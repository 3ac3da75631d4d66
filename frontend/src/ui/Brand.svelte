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
  @media (max-width: 600px) {
    span {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
  }
</style>

<script lang="ts">
  import type { Snippet } from 'svelte';

  type Props = {
    /** What stands on the button. */
    name: Snippet;
    children: Snippet;
    /** Of the button. */
    class?: string;
  };
  let { name, children, class: style = 'btn-ghost' }: Props = $props();
  const id = $props.id();
  let open = $state(false);
  let button: HTMLButtonElement;
  let panel: HTMLDivElement;

  /** Under its button, and inside the window. */
  function place() {
    const at = button.getBoundingClientRect();
    const edge = 8;
    const left = Math.min(at.right - panel.offsetWidth, innerWidth - panel.offsetWidth - edge);
    const below = at.bottom + 4;
    const fits = below + panel.offsetHeight + edge <= innerHeight;
    panel.style.left = `${Math.max(edge, left)}px`;
    panel.style.top = `${fits ? below : Math.max(edge, at.top - panel.offsetHeight - 4)}px`;
  }
  function toggled(event: ToggleEvent) {
    open = event.newState === 'open';
    if (open) place();
  }
</script>

<svelte:window onresize={() => open && place()} />
<!-- A popover: Escape and a tap elsewhere close it, focus goes back to the button; a page that moves under it takes it along no further. -->
<button type="button" class="btn {style}" popovertarget={id} aria-expanded={open} bind:this={button}>
  {@render name()}
</button>
<div {id} popover="auto" class="menu-panel dish" bind:this={panel} ontoggle={toggled}>
  {@render children()}
</div>

<style>
  .menu-panel {
    position: fixed;
    inset: auto;
    margin: 0;
    width: min(17rem, calc(100vw - 1rem));
    max-height: calc(100vh - 1rem);
    overflow-y: auto;
    padding: 0.5rem;
    background: var(--color-base-100);
    color: var(--color-base-content);
    box-shadow: 0 6px 22px rgb(0 0 0 / 0.22);
  }
</style>

<script lang="ts">
  import { say } from '../../messages/say';
  type Props = { what: 'boils' | 'foam' | 'surface_dry' };
  let { what }: Props = $props();

  const bubbles = [
    [24, 44, 5],
    [40, 50, 4],
    [56, 42, 6],
    [72, 50, 4],
    [88, 44, 5],
    [34, 60, 3],
    [64, 62, 4],
    [80, 62, 3],
  ] as const;
</script>

<!-- What to compare the pot with. -->
<svg
  viewBox="0 0 112 84"
  width="112"
  height="84"
  class="shrink-0"
  role="img"
  aria-label={say(`sign.${what}`)}
>
  <path
    d="M10 12v54q0 8 8 8h76q8 0 8-8V12"
    fill="var(--pot-inside)"
    stroke="var(--pot-wall)"
    stroke-width="3"
  />
  {#if what === 'surface_dry'}
    <rect x="12" y="36" width="88" height="36" rx="5" fill="var(--rice-done)" />
    {#each [26, 46, 66, 86] as x (x)}<ellipse cx={x} cy="37" rx="5" ry="3.4" fill="var(--seed-edge)" />{/each}
    {#each [26, 66] as x (x)}<path
        d="M{x} 28q-4-5 0-10"
        fill="none"
        stroke="var(--liquid-line)"
        stroke-width="2"
      />{/each}
  {:else}
    <rect x="12" y="36" width="88" height="36" rx="5" fill="var(--liquid)" />
    {#each bubbles as [x, y, r] (x)}
      <circle cx={x} cy={y} {r} fill="var(--pot-inside)" stroke="var(--liquid-line)" stroke-width="1.5" />
    {/each}
    {#if what === 'foam'}
      {#each [18, 32, 46, 60, 74, 88] as x, i (x)}
        <circle
          cx={x + 3}
          cy={i % 2 ? 22 : 27}
          r="9"
          fill="var(--pot-inside)"
          stroke="var(--seed-edge)"
          stroke-width="1.5"
        />
      {/each}
    {/if}
  {/if}
</svg>

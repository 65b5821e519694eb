<script lang="ts">
  import { outlines, seedOf, type Seed } from './seeds';

  type Props = {
    /** How large the pale core is, 0 (soft through) to 1 (raw). */
    core: number;
    /** Width in px. @default 22 */
    size?: number;
    /** Which seed; a bean of no name when none is given. */
    seed?: Seed;
    /** Said by a screen reader; hidden from it when the words stand beside. */
    label?: string;
  };
  let { core, size = 22, seed = seedOf('pulse', ''), label }: Props = $props();
  const grain = $derived(seed.shape === 'grain');
</script>

<!-- A seed cut through: its pale core fades as it cooks. -->
<svg
  viewBox="0 0 32 24"
  width={size}
  height={(size * 24) / 32}
  class="shrink-0"
  role={label ? 'img' : undefined}
  aria-label={label}
  aria-hidden={label ? undefined : true}
>
  <path d={outlines[seed.shape]} fill={seed.done} stroke="var(--seed-edge)" stroke-width="1.5" />
  <ellipse
    cx="16"
    cy="12"
    rx={(grain ? 9.5 : seed.shape === 'round' || seed.shape === 'drop' ? 7.5 : 10) * core}
    ry={(grain ? 3.2 : seed.shape === 'disc' ? 4.6 : 6.4) * core}
    fill={grain ? 'var(--pot-inside)' : 'var(--core)'}
    stroke="var(--seed-edge)"
    stroke-width="0.6"
    opacity="0.95"
  />
</svg>

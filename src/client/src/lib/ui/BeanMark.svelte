<script lang="ts">
  type Props = {
    /** How large the pale core is, 0 (soft through) to 1 (raw). */
    core: number;
    /** Width in px. @default 22 */
    size?: number;
    /** Grain of rice instead of a bean. @default false */
    grain?: boolean;
    /** Said by a screen reader; hidden from it when the words stand beside. */
    label?: string;
  };
  let { core, size = 22, grain = false, label }: Props = $props();
</script>

<!-- A bean cut through: its pale core fades as it cooks. -->
<svg
  viewBox="0 0 32 24"
  width={size}
  height={(size * 24) / 32}
  role={label ? 'img' : undefined}
  aria-label={label}
  aria-hidden={label ? undefined : true}
>
  {#if grain}
    <ellipse
      cx="16"
      cy="12"
      rx="14"
      ry="5.5"
      fill="var(--rice-done)"
      stroke="var(--seed-edge)"
      stroke-width="1.5"
    />
    <ellipse cx="16" cy="12" rx={10 * core} ry={3.2 * core} fill="var(--pot-inside)" opacity="0.9" />
  {:else}
    <path
      d="M2 12C2 5.500 8 2 16 2s14 3.500 14 10c0 5.500-4 9.500-8.500 9.500-2.500 0-3.500-1.200-5.500-1.200s-3 1.200-5.500 1.200C6 21.500 2 17.500 2 12z"
      fill="var(--pulse-done)"
      stroke="var(--seed-edge)"
      stroke-width="1.5"
    />
    <ellipse cx="16" cy="11" rx={10.5 * core} ry={6.8 * core} fill="var(--pulse-raw)" />
  {/if}
</svg>

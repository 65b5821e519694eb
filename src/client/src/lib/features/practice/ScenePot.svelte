<script lang="ts">
  import { say } from '../../messages/say';
  import { colourOf, outlines, type Seed } from '../../ui/seeds';

  /** Heights in cm, over the base. */
  type Look = {
    bedCentimetres: number;
    liquidCentimetres: number;
    heightCentimetres: number;
    boils: boolean;
  };
  type Props = { pot: Look; seed: Seed };
  let { pot, seed }: Props = $props();
  const id = $props.id();
  const [w, h] = [300, 190];
  /** A pot that is mostly empty is cut off above its liquid, so that heights can be told apart. */
  const shown = $derived(Math.min(pot.heightCentimetres, Math.max(5, pot.liquidCentimetres * 1.7)));
  const scale = $derived((h - 34) / shown);
  const y = (cm: number) => h - 8 - cm * scale;
  const bubbles = [40, 92, 128, 171, 214, 256];
</script>

<!-- The pot as it is seen: how high the bed is, where the liquid stands, whether it steams. -->
<svg
  viewBox="0 0 {w} {h}"
  class="h-auto w-full max-w-md"
  role="img"
  aria-label={say('practice.picture', {
    bed: Math.round(pot.bedCentimetres * 10) / 10,
    liquid: Math.round(pot.liquidCentimetres * 10) / 10,
  })}
>
  <defs>
    <pattern id="bed-{id}" width="22" height="16" patternUnits="userSpaceOnUse">
      <g fill="none" stroke="var(--seed-edge)" stroke-width="2.6" opacity="0.5">
        <path d={outlines[seed.shape]} transform="translate(0.5 0.5) scale(0.34)" />
        <path d={outlines[seed.shape]} transform="translate(11.5 8) scale(0.34)" />
      </g>
    </pattern>
  </defs>
  <path
    d="M14 22v{h - 42}q0 12 12 12h{w - 52}q12 0 12-12v-{h - 42}"
    fill="var(--pot-inside)"
    stroke="var(--pot-wall)"
    stroke-width="5"
  />
  <rect
    x="17"
    width={w - 34}
    y={y(pot.liquidCentimetres)}
    height={h - 10 - y(pot.liquidCentimetres)}
    fill="var(--liquid)"
    opacity="0.7"
  />
  <rect
    x="17"
    width={w - 34}
    y={y(pot.bedCentimetres)}
    height={h - 10 - y(pot.bedCentimetres)}
    fill={colourOf(seed, 0.7)}
  />
  <rect
    x="17"
    width={w - 34}
    y={y(pot.bedCentimetres)}
    height={h - 10 - y(pot.bedCentimetres)}
    fill="url(#bed-{id})"
  />
  {#if pot.liquidCentimetres > pot.bedCentimetres}
    <line
      x1="17"
      x2={w - 17}
      y1={y(pot.liquidCentimetres)}
      y2={y(pot.liquidCentimetres)}
      stroke="var(--liquid-line)"
      stroke-width="3"
    />
  {/if}
  {#if pot.boils}
    {#each bubbles as x, i (x)}
      <circle
        cx={x}
        cy={y(pot.liquidCentimetres) + 5}
        r={2.5 + (i % 3)}
        fill="none"
        stroke="var(--liquid-line)"
        stroke-width="1.5"
      />
      <path
        d="M{x} {y(pot.liquidCentimetres) - 8}q6 -9 0 -18"
        fill="none"
        stroke="var(--pot-wall)"
        stroke-width="2"
        stroke-linecap="round"
        opacity="0.45"
      />
    {/each}
  {/if}
</svg>

<script lang="ts">
  import type { Series } from '../../api/client';
  import { degrees, millilitres, millilitresBetween, overBed } from '../../format/amounts';
  import { clock } from '../../format/time';
  import { core, feltWord } from '../../format/words';
  import BeanMark from '../../ui/BeanMark.svelte';

  type Props = {
    series: Series;
    zone: string;
    /** Index of the point that is looked into. */
    here: number;
    onpick: (index: number) => void;
  };
  let { series, zone, here, onpick }: Props = $props();

  const time = $derived(clock(series.at[here] ?? series.at[0] ?? '', zone));
  const liquid = $derived(series.liquorMillilitres[here]);
  const inPot = $derived(
    series.layers.filter((l) => l.kind !== 'extra' && (l.bedCentimetres[here] ?? 0) > 0),
  );
  /** Rice that cooks in a vessel of its own is not drawn, but told. */
  const beside = $derived(
    series.layers.filter(
      (l) => l.kind === 'rice' && (l.bedCentimetres[here] ?? 0) === 0 && l.felt[here] !== 'hard',
    ),
  );
  const words = $derived(
    `${time}: ${millilitres(liquid?.mid ?? 0)} of liquid, ${overBed(series.overBedCentimetres[here] ?? 0)} the bed, ` +
      [...inPot, ...beside].map((l) => `${l.name} ${feltWord(l.kind, l.felt[here])}`).join(', '),
  );
</script>

<!-- A look into the pot at any minute: by pointer on the picture, by keyboard on the slider. -->
<div class="flex flex-wrap items-center gap-x-5 gap-y-1 px-2">
  <label class="flex items-center gap-2 text-sm font-semibold">
    Look in at {time}
    <input
      class="range range-primary range-xs w-40"
      type="range"
      min="0"
      max={series.at.length - 1}
      value={here}
      aria-valuetext={words}
      oninput={(e) => onpick(e.currentTarget.valueAsNumber)}
    />
  </label>
  <span class="tabular-nums">{degrees(series.celsius[here] ?? 0)}</span>
  <span class="tabular-nums">
    <strong>{millilitres(liquid?.mid ?? 0)}</strong> liquid
    <span class="opacity-80">({millilitresBetween(liquid?.low ?? 0, liquid?.high ?? 0)})</span>, {overBed(
      series.overBedCentimetres[here] ?? 0,
    )} the bed
  </span>
  {#each inPot as layer (layer.id)}
    <span class="inline-flex items-center gap-1.5">
      <BeanMark core={core[layer.felt[here] ?? ''] ?? 0} grain={layer.kind === 'rice'} />
      {layer.name}: {feltWord(layer.kind, layer.felt[here])}
    </span>
  {/each}
  {#each beside as layer (layer.id)}
    <span class="inline-flex items-center gap-1.5">
      <BeanMark core={core[layer.felt[here] ?? ''] ?? 0} grain />
      {layer.name}, by itself: {feltWord('rice', layer.felt[here])}
    </span>
  {/each}
</div>

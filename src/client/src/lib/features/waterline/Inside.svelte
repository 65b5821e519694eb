<script lang="ts">
  import type { Layer, Series } from '../../api/client';
  import { degrees, millilitres, millilitresBetween, overBed } from '../../format/amounts';
  import { clock } from '../../format/time';
  import { core, feltWord } from '../../format/words';
  import { say } from '../../messages/say';
  import BeanMark from '../../ui/BeanMark.svelte';
  import Marked from '../../ui/Marked.svelte';
  import { seedOf } from '../../ui/seeds';

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
  const level = $derived(overBed(series.overBedCentimetres[here] ?? 0));
  const felt = (l: Layer) => say('waterline.layer', { name: l.name, felt: feltWord(l.kind, l.felt[here]) });
  const words = $derived(
    [
      say('waterline.inside', { time, liquid: millilitres(liquid?.mid ?? 0), level }),
      ...[...inPot, ...beside].map(felt),
    ].join('; '),
  );
</script>

<!-- A look into the pot at any minute: by pointer on the picture, by keyboard on the slider. -->
<div class="flex flex-wrap items-center gap-x-5 gap-y-1 px-2">
  <label class="flex items-center gap-2 text-sm font-semibold">
    {say('waterline.look_in', { time })}
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
    <Marked
      text={say('waterline.liquid', {
        liquid: millilitres(liquid?.mid ?? 0),
        range: millilitresBetween(liquid?.low ?? 0, liquid?.high ?? 0),
        level,
      })}
    />
  </span>
  {#each inPot as layer (layer.id)}
    <span class="inline-flex items-center gap-1.5">
      <BeanMark core={core[layer.felt[here] ?? ''] ?? 0} seed={seedOf(layer.kind, layer.seed)} />
      {felt(layer)}
    </span>
  {/each}
  {#each beside as layer (layer.id)}
    <span class="inline-flex items-center gap-1.5">
      <BeanMark core={core[layer.felt[here] ?? ''] ?? 0} seed={seedOf(layer.kind, layer.seed)} />
      {say('waterline.by_itself', { name: layer.name, felt: feltWord('rice', layer.felt[here]) })}
    </span>
  {/each}
</div>

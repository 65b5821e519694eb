<script lang="ts">
  import { within } from '../../messages/figures';
  import { say } from '../../messages/say';
  import type { Plan } from '../../api/client';
  import { clock, tickHour } from '../../format/time';
  import { hours } from '../../ui/axis';
  import Marked from '../../ui/Marked.svelte';

  type Props = { plan: Plan; zone: string };
  let { plan, zone }: Props = $props();

  let width = $state(880);
  const left = 108;
  const rowHeight = 30;
  const hands = $derived(plan.hands);
  const table = $derived(Date.parse(plan.serveAt));
  /** From an hour and a half before the first flame: what is done the evening before stands in the list below. */
  const lit = $derived(
    Math.min(table, ...hands.flames.flatMap((f) => f.burns).map((s) => Date.parse(s.from))),
  );
  const near = (at: string) => Date.parse(at) > Math.min(lit, table - 3_600_000) - 5_400_000;
  const visits = $derived(hands.visits.filter((v) => near(v.from)));
  const tasks = $derived(hands.tasks.filter((t) => near(t.from)));
  const from = $derived(Math.min(...[...visits, ...tasks].map((h) => Date.parse(h.from))));
  const to = $derived(Math.max(table, ...visits.map((v) => Date.parse(v.to))));
  const x = $derived(hours([from - 120_000, to + 120_000], [left, width - 14]));
  type Span = { from: string; to: string };
  type Lane = { key: string; name: string; burner?: string | null };
  const lanes = $derived<Lane[]>([
    ...(tasks.length ? [{ key: 'tasks', name: say('hands.beside') }] : []),
    { key: 'visits', name: say('hands.at_the_stove') },
    ...hands.flames.map((f, i) => ({ key: `pot${i}`, name: f.vesselName, burner: f.burnerName })),
    ...plan.beside.map((n) => ({ key: n.id, name: n.title })),
  ]);
  /** Of another dish, what falls into the picture. */
  const inside = (s: { from: string; to: string }) =>
    Date.parse(s.to) > from && Date.parse(s.from) < to && near(s.from);
  const y = (key: string) => 4 + lanes.findIndex((l) => l.key === key) * rowHeight;
  const height = $derived(lanes.length * rowHeight + 26);
  const box = (a: string, b: string) => {
    const start = Math.max(left, x(new Date(a)));
    return { x: start, width: Math.max(3, Math.min(width - 14, x(new Date(b))) - start) };
  };
  /** What a lane's name has room for. */
  const letters = 15;
  const short = (name: string) => (name.length > letters ? `${name.slice(0, letters - 1).trim()}…` : name);
  const ticks = $derived(x.ticks(width > 620 ? 8 : 4));
  const all = $derived(
    [
      ...visits.map((v) => ({ ...v, where: say('hands.where.stove') })),
      ...tasks.map((t) => ({
        ...t,
        where: t.attended ? say('hands.where.beside') : say('hands.where.alone'),
      })),
    ].sort((a, b) => Date.parse(a.from) - Date.parse(b.from)),
  );
</script>

{#snippet hand(s: Span, lane: string, opacity: number)}
  {@const b = box(s.from, s.to)}
  <rect x={b.x} y={y(lane) + 2} width={b.width} height="22" rx="4" fill="var(--color-primary)" {opacity} />
{/snippet}

<!-- Of another dish it is only outlined. -->
{#snippet flame(s: Span, lane: string, own: boolean)}
  {@const b = box(s.from, s.to)}
  <rect
    x={b.x}
    y={y(lane) + 8}
    width={b.width}
    height="10"
    rx="5"
    fill={own ? 'var(--color-secondary)' : 'none'}
    stroke="var(--color-secondary)"
    stroke-width={own ? 0 : 1.5}
    opacity={own ? 0.8 : 1}
  />
{/snippet}

<section class="dish mt-4 px-4 py-3" aria-labelledby="hands-title">
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 id="hands-title" class="text-xl">{say('hands.title')}</h2>
    <p class="text-[0.95rem]">
      <Marked
        text={say('hands.sum', { all: hands.handsOnMinutes, waits: hands.inWaits, before: hands.outside })}
      />
    </p>
  </div>
  <figure bind:clientWidth={width} class="mt-1">
    <svg {width} {height} class="block" role="img" aria-label={say('hands.picture')}>
      {#each ticks as tick (tick.getTime())}
        <line x1={x(tick)} x2={x(tick)} y1="0" y2={height - 20} stroke="var(--color-base-300)" />
        <text x={x(tick)} y={height - 5} text-anchor="middle" class="fill-base-content text-[12px]"
          >{tickHour(tick, zone)}</text
        >
      {/each}
      {#each lanes as lane (lane.key)}
        <text
          x="0"
          y={y(lane.key) + (lane.burner ? 12 : 17)}
          class="fill-base-content text-[12.5px] font-semibold">{short(lane.name)}</text
        >
        {#if lane.burner}<text x="0" y={y(lane.key) + 23} class="fill-base-content text-[10.5px]"
            >{lane.burner}</text
          >{/if}
        <line
          x1={left}
          x2={width - 14}
          y1={y(lane.key) + 25}
          y2={y(lane.key) + 25}
          stroke="var(--color-base-300)"
        />
      {/each}
      {#each tasks as t (t.id)}
        {@const b = box(t.from, t.to)}
        <rect
          x={b.x}
          y={y('tasks') + 2}
          width={b.width}
          height="22"
          rx="5"
          fill={t.attended ? 'var(--color-accent)' : 'var(--color-base-100)'}
          stroke="var(--color-accent)"
          stroke-width="1.5"
          stroke-dasharray={t.attended ? 'none' : '4 3'}
        />
        {#if b.width > t.name.length * 6.4}
          <text
            x={b.x + b.width / 2}
            y={y('tasks') + 17}
            text-anchor="middle"
            class="text-[12px] font-semibold {t.attended ? 'fill-accent-content' : 'fill-base-content'}"
            >{t.name}</text
          >
        {/if}
      {/each}
      {#each visits as v, i (v.id + i)}{@render hand(v, 'visits', 1)}{/each}
      {#each hands.flames as lane, i (i)}
        {#each lane.burns.filter((s) => near(s.from)) as s (s.from)}{@render flame(s, `pot${i}`, true)}{/each}
      {/each}
      {#each plan.beside as n (n.id)}
        {#each n.burns.filter(inside) as s (s.from + s.burnerName)}{@render flame(s, n.id, false)}{/each}
        {#each n.hands.filter(inside) as s, i (s.from + i)}{@render hand(s, n.id, 0.75)}{/each}
      {/each}
    </svg>
  </figure>
  {#if plan.beside.length && !plan.clashes.length}
    <p class="mt-1 text-[0.95rem]" data-beside-free>
      {say('beside.free', { with: plan.beside.map((n) => n.title).join(', ') })}
    </p>
  {/if}
  {#if hands.dayBefore.length}
    <p class="mt-1 text-[0.95rem]">
      <Marked text={say('hands.day_before', { what: hands.dayBefore.map(within).join('; ') })} />
    </p>
  {/if}
  {#if hands.unplaced.length}
    <p class="text-error mt-1 text-[0.95rem]">
      {say('hands.unplaced', { what: hands.unplaced.map(within).join('; ') })}
    </p>
  {/if}
  <details class="mt-1">
    <summary class="cursor-pointer text-sm font-semibold">{say('hands.list')}</summary>
    <ul class="mt-1 columns-1 gap-6 text-[0.95rem] sm:columns-2">
      {#each all as h, i (h.id + i)}
        <li class="tabular-nums">
          {clock(h.from, zone)}
          {h.name} <span class="opacity-80">{say('hands.where', { where: h.where })}</span>
        </li>
      {/each}
    </ul>
  </details>
</section>

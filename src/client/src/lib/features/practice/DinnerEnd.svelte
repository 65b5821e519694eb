<script lang="ts">
  import type { PracticeEnd, PracticeTable, StoveState } from '../../api/client';
  import { clock } from '../../format/time';
  import { core, feltWord } from '../../format/words';
  import { capital } from '../../messages/figures';
  import { say } from '../../messages/say';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import SceneLines from './SceneLines.svelte';

  type Props = { end: PracticeEnd; evening: StoveState; again: () => void; all: string };
  let { end, evening, again, all }: Props = $props();
  /** Where nobody lost anything there is nothing to read. */
  const parts = $derived(
    (['texture', 'water', 'salt', 'late', 'attention'] as const).filter((part) =>
      tables.some((t) => t.table[part] > 0),
    ),
  );
  const tables = $derived<{ who: string; table: PracticeTable }[]>([
    { who: say('practice.yours'), table: end.yours },
    ...(end.advised ? [{ who: say('practice.advised'), table: end.advised }] : []),
  ]);
  const food = (id: string) => evening.seeds.find((s) => s.id === id);
  const focus = (node: HTMLElement) => node.focus();
</script>

<section class="dish p-5" aria-labelledby="end-title">
  <h2
    id="end-title"
    tabindex="-1"
    class="text-3xl focus:outline-none {end.yours.forbidden ? 'text-error' : ''}"
    {@attach focus}
  >
    {end.yours.forbidden
      ? say('practice.forbidden')
      : say('practice.table', { spoilt: end.yours.spoiltBy, points: end.yours.points })}
  </h2>
  {#if end.yours.forbidden}
    <p class="text-error mt-1 text-lg font-semibold">
      {say(`caution.${end.yours.forbidden}.text` as 'caution.lectin.not_boiled.text')}
    </p>
  {/if}
  <p class="mt-1 text-lg">
    {say('practice.hidden', { pace: end.pace, steam: end.steam, flame: end.flame })}
  </p>
  {#if !end.advised}<p class="mt-1 text-lg">{say('practice.no_advised')}</p>{/if}
  <div class="grid items-start gap-x-8 lg:grid-cols-2">
    <table class="table mt-3 text-base">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">{say('practice.part')}</span></th>
          {#each tables as t (t.who)}<th scope="col">{t.who}</th>{/each}
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{say('practice.on_the_table')}</th>
          {#each tables as t (t.who)}<td>{clock(t.table.servedAt, evening.zone)}</td>{/each}
        </tr>
        {#each end.yours.felt as felt (felt.ingredient)}
          {@const what = food(felt.ingredient)}
          <tr>
            <th scope="row">{capital(what?.name ?? '')}</th>
            {#each tables as t (t.who)}
              {@const as = t.table.felt.find((f) => f.ingredient === felt.ingredient)}
              <td>
                {#if as && what}
                  <span class="flex items-center gap-2">
                    <BeanMark core={core[as.felt] ?? 0} size={26} seed={seedOf(what.kind, what.seed)} />
                    {feltWord(what.kind, as.felt)}
                  </span>
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
        {#each parts as part (part)}
          <tr>
            <th scope="row">{say(`practice.part.${part}`)}</th>
            {#each tables as t (t.who)}<td class="tabular-nums"
                >{say('practice.lost_points', { points: t.table[part] })}</td
              >{/each}
          </tr>
        {/each}
        <tr class="text-xl font-bold">
          <th scope="row">{say('practice.points')}</th>
          {#each tables as t (t.who)}<td class="display tabular-nums">{t.table.points}</td>{/each}
        </tr>
      </tbody>
    </table>
    <SceneLines
      moment={null}
      mine={end.line}
      best={end.advisedLine}
      label={say('practice.dinner_lines')}
      band={[end.wantedLow, end.wantedHigh]}
      other={say('practice.advised')}
    />
  </div>
  <div class="mt-4 flex flex-wrap gap-3">
    <button class="btn btn-primary min-h-12" onclick={again}>{say('practice.another_kitchen')}</button>
    <a class="btn min-h-12" href={all}>{say('practice.all')}</a>
  </div>
</section>

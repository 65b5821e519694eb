<script lang="ts">
  import { millilitres } from '../../format/amounts';
  import { dinnersOf } from '../../format/chance';
  import { say } from '../../messages/say';
  import { api } from '../../api/client';
  import { fieldOf, type FromNotes } from '../../state/notes.svelte';
  import Choice from '../../ui/Choice.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { readMeasure, unitOf, type Measure } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';
  import NamePicker from '../../ui/NamePicker.svelte';

  type Props = { notes: FromNotes; onplan: () => void };
  let { notes, onplan }: Props = $props();
  const found = $derived(notes.found!);
  const fault = (code: string) =>
    notes.problem?.errors?.find((e) => e.field === `answers.${fieldOf[code]}`)?.detail ?? null;

  type Question = (typeof found.questions)[number];
  /** A litre of water weighs a kilogram. */
  const measureOf = (q: Question): Measure | null =>
    q.code === 'water' ? 'millilitres' : q.unit === 'g' ? 'grams' : null;
  function measured(field: Parameters<FromNotes['answer']>[0], q: Question, text: string) {
    const read = readMeasure(measureOf(q)!, text, units.us);
    if (read !== null) notes.answer(field, read);
  }
</script>

<section class="dish p-4" aria-labelledby="asked-title">
  <h2 id="asked-title" class="text-xl">
    {say('note.named', {
      title: found.title ?? say('note.unnamed'),
      people: found.people === null ? null : String(found.people),
    })}
  </h2>
  {#each found.doubts as doubt (doubt.code)}
    <p class="alert alert-warning mt-2" role="alert">{doubt.text}</p>
  {/each}
  <div aria-live="polite">
    {#if found.gives}
      <h3 class="mt-3 font-semibold">{say('note.followed')}</h3>
      <p>{found.gives.text} {say('note.chance', { chance: dinnersOf(found.gives.shareTender) })}</p>
      {#each found.gives.gates as gate (gate.code)}
        <p class="text-error mt-2 font-semibold" role="alert">{say(`caution.${gate.code}.text`)}</p>
      {/each}
    {:else if found.cannot}
      <p class="mt-2">{found.cannot}</p>
    {/if}
    {#if found.own}
      <h3 class="mt-3 font-semibold">{say('note.ours')}</h3>
      <p>
        {say('note.own', {
          chance: dinnersOf(found.own.shareTender),
          minutes: found.own.minutes,
          water: found.own.waterMillilitres ? millilitres(found.own.waterMillilitres) : null,
        })}
      </p>
    {/if}
  </div>
  {#if found.dish}
    <button class="btn btn-primary mt-3" onclick={onplan}>{say('note.plan')}</button>
  {/if}
  {#if found.questions.length}
    <p class="mt-4">{say('note.asked')}</p>
    <div class="mt-2 grid gap-4 sm:grid-cols-2">
      {#each found.questions as q (q.code)}
        {@const field = fieldOf[q.code]}
        {@const value = String((field && notes.answers[field]) ?? q.likely ?? '')}
        {#if field && q.choices.length}
          <Choice
            legend={q.text}
            name={q.code}
            {value}
            options={q.choices.map((c) => ({ id: c.id, name: c.text }))}
            onchange={(id) => notes.answer(field, id)}
            error={fault(q.code)}
          />
        {:else if field && q.code === 'pulse'}
          <NamePicker
            id="note-pulse"
            label={q.text}
            chosen=""
            find={api.findPulses}
            onchoose={(id) => notes.answer('pulseId', id)}
          />
        {:else if field}
          <div>
            <label class="mb-1 block text-sm font-semibold" for="note-{q.code}">{q.text}</label>
            <label class="input w-full text-base">
              {#if measureOf(q)}
                <MeasureField
                  of={measureOf(q)!}
                  class=""
                  id="note-{q.code}"
                  value={Number(value)}
                  {...fault(q.code) ? { 'aria-invalid': true } : {}}
                  onchange={(e) => measured(field, q, e.currentTarget.value)}
                />
              {:else}
                <input
                  id="note-{q.code}"
                  type="number"
                  min="0"
                  inputmode="decimal"
                  {value}
                  aria-invalid={fault(q.code) ? true : undefined}
                  onchange={(e) =>
                    e.currentTarget.value !== '' && notes.answer(field, e.currentTarget.valueAsNumber)}
                />
              {/if}
              <span>{measureOf(q) ? unitOf(measureOf(q)!, units.us) : q.unit}</span>
            </label>
            {#if fault(q.code)}<p class="text-error mt-1 text-sm" role="alert">{fault(q.code)}</p>{/if}
          </div>
        {/if}
      {/each}
    </div>
  {/if}
</section>

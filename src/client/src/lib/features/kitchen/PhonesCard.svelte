<script lang="ts">
  import { Trash2 } from '@lucide/svelte';
  import { api, type Paired, type Pairing } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { clock, dayOf } from '../../format/time';
  import { say } from '../../messages/say';
  import Marked from '../../ui/Marked.svelte';

  import CodePicture from './CodePicture.svelte';

  type Props = { zone: string };
  let { zone }: Props = $props();
  let pairing = $state.raw<Pairing | null>(null);
  let paired = $state.raw<Paired | null>(null);
  let problem = $state.raw<Problem | null>(null);

  /** Address and code in one, for a camera. */
  const link = $derived(pairing?.addresses[0] ? `${pairing.addresses[0]}/#code=${pairing.code}` : '');

  async function load() {
    const answer = await api.devices();
    if (answer.ok) paired = answer.value;
  }
  $effect(() => void load());

  async function make() {
    // The token is of this start of the kettle: read anew, it fits.
    await load();
    const answer = await api.pairCode(paired?.pageToken ?? '');
    problem = answer.ok ? null : answer.problem;
    pairing = answer.ok ? answer.value : null;
  }
  async function remove(id: string) {
    const answer = await api.removeDevice(id);
    problem = answer.ok ? null : answer.problem;
    await load();
  }
</script>

<section class="dish mt-5 p-4" aria-labelledby="phones">
  <h2 id="phones" class="text-xl">{say('phones.title')}</h2>
  {#if pairing}
    <div class="mt-2 grid gap-6 md:grid-cols-[auto_1fr]">
      <div>
        <p class="display text-5xl tracking-[0.12em] tabular-nums" data-code>
          {pairing.code.slice(0, 4)}-{pairing.code.slice(4)}
        </p>
        {#if link}
          <div class="mt-3">
            <CodePicture text={link} label={say('phones.picture')} />
          </div>
          <p class="mt-1 max-w-44 text-sm">{say('phones.picture_text')}</p>
        {/if}
        <p class="mt-1 text-sm">{say('phones.until', { time: clock(pairing.until, zone) })}</p>
      </div>
      <ol class="list-decimal pl-5">
        <li>
          {say('phones.open', { address: pairing.addresses.join(say('phones.or')) || null })}
        </li>
        <li>
          <Marked
            class="font-normal tabular-nums"
            text={say('phones.certificate', {
              file: '/kettle-authority.crt',
              fingerprint: pairing.fingerprint,
            })}
          />
        </li>
        <li>{say('phones.type')}</li>
      </ol>
    </div>
  {:else}
    <p class="mt-1 max-w-prose">
      {say('phones.why')}
    </p>
  {/if}
  {#if problem}<p class="mt-2" role="alert">{problem.detail}</p>{/if}
  <button class="btn btn-primary mt-3" onclick={make}
    >{pairing ? say('phones.another') : say('phones.make')}</button
  >
  {#if paired && paired.devices.length > 0}
    <ul class="mt-3">
      {#each paired.devices as device (device.id)}
        <li class="border-base-300 flex items-center justify-between border-t py-1">
          {say('phones.device', {
            name: device.name,
            since: dayOf(device.pairedAt, zone),
            day: dayOf(device.lastSeenAt, zone),
            time: clock(device.lastSeenAt, zone),
          })}
          <button
            class="btn btn-ghost btn-sm btn-square"
            aria-label={say('phones.remove', { name: device.name })}
            onclick={() => remove(device.id)}
          >
            <Trash2 size={17} />
          </button>
        </li>
      {/each}
    </ul>
  {/if}
  {#if paired && paired.attempts.length > 0}
    <details class="mt-3" data-attempts>
      <summary class="cursor-pointer">{say('phones.failed', { count: paired.attempts.length })}</summary>
      <ul class="mt-1 text-sm">
        {#each paired.attempts as attempt, n (n)}
          <li>
            {say('phones.attempt', {
              day: dayOf(attempt.at, zone),
              time: clock(attempt.at, zone),
              from: attempt.from,
              text: attempt.text,
            })}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  <p class="mt-3 text-sm opacity-85">
    {say('phones.note')}
  </p>
</section>

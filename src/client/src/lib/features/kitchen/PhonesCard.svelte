<script lang="ts">
  import { Trash2 } from '@lucide/svelte';
  import { api, type Paired, type Pairing } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { clock, dayOf } from '../../format/time';

  type Props = { zone: string };
  let { zone }: Props = $props();
  let pairing = $state.raw<Pairing | null>(null);
  let paired = $state.raw<Paired | null>(null);
  let problem = $state.raw<Problem | null>(null);

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
  <h2 id="phones" class="text-xl">Phones at the stove</h2>
  {#if pairing}
    <div class="mt-2 grid gap-6 md:grid-cols-[auto_1fr]">
      <div>
        <p class="display text-5xl tracking-[0.12em] tabular-nums" data-code>
          {pairing.code.slice(0, 4)}-{pairing.code.slice(4)}
        </p>
        <p class="mt-1 text-sm">for one phone, until {clock(pairing.until, zone)}</p>
      </div>
      <ol class="list-decimal pl-5">
        <li>
          On the phone, in the same Wi-Fi, open {pairing.addresses.join(' or ') || 'this machine’s address'}.
        </li>
        <li>
          Once for each phone: open <em>/kettle-authority.crt</em> there and install it as a trusted
          certificate, after comparing its fingerprint:
          <span class="tabular-nums">{pairing.fingerprint}</span>. Without it the phone has no offline pages,
          no notifications and no screen kept awake.
        </li>
        <li>Type the code.</li>
      </ol>
    </div>
  {:else}
    <p class="mt-1 max-w-prose">
      A phone may stand at the stove once it is paired. Without pairing nobody on the network reads or writes
      anything.
    </p>
  {/if}
  {#if problem}<p class="mt-2" role="alert">{problem.detail}</p>{/if}
  <button class="btn btn-primary mt-3" onclick={make}>{pairing ? 'Another code' : 'Make a code'}</button>
  {#if paired && paired.devices.length > 0}
    <ul class="mt-3">
      {#each paired.devices as device (device.id)}
        <li class="border-base-300 flex items-center justify-between border-t py-1">
          {device.name}, since {dayOf(device.pairedAt, zone)}, last here {dayOf(device.lastSeenAt, zone)} at {clock(
            device.lastSeenAt,
            zone,
          )}
          <button
            class="btn btn-ghost btn-sm btn-square"
            aria-label="Remove {device.name}"
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
      <summary class="cursor-pointer">Tries that failed ({paired.attempts.length})</summary>
      <ul class="mt-1 text-sm">
        {#each paired.attempts as attempt, n (n)}
          <li>
            {dayOf(attempt.at, zone)}
            {clock(attempt.at, zone)}, from {attempt.from}: {attempt.text}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  <p class="mt-3 text-sm opacity-85">
    A phone that nobody uses for 90 days has to be paired again. One that is locked or asleep runs no timer
    and cannot ring; keep it awake at the stove, or let the laptop ring.
  </p>
</section>

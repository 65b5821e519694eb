<script lang="ts">
  import { api } from '../../api/client';
  import { say } from '../../messages/say';

  type Props = { onpaired: () => void };
  let { onpaired }: Props = $props();
  /** The picture code brings it along, behind the address's #: it is sent to nobody but by this form. */
  let code = $state(new URLSearchParams(location.hash.slice(1)).get('code') ?? '');
  let name = $state('');
  let said = $state('');
  /** Dashes and blanks between the letters do not count. */
  const letters = $derived(code.replace(/[^0-9a-z]/gi, '').length);

  async function pair(event: SubmitEvent) {
    event.preventDefault();
    const answer = await api.pair(code, name);
    said = answer.ok ? '' : (answer.problem.errors?.[0]?.detail ?? answer.problem.detail);
    if (answer.ok) onpaired();
  }
</script>

<form class="dish mx-auto max-w-md p-6" onsubmit={pair}>
  <h1 class="text-3xl">{say('pair.title')}</h1>
  <p class="mt-2 text-lg">{say('pair.text')}</p>
  <label class="mt-4 block font-semibold">
    {say('pair.code')}
    <input
      class="input mt-1 h-16 w-full text-3xl tracking-[0.15em] uppercase"
      autocomplete="one-time-code"
      autocapitalize="characters"
      spellcheck="false"
      maxlength="12"
      aria-invalid={said ? true : undefined}
      aria-describedby={said ? 'pair-error' : undefined}
      bind:value={code}
    />
  </label>
  {#if said}<p id="pair-error" class="text-error mt-1" role="alert">{said}</p>{/if}
  <label class="mt-3 block font-semibold">
    {say('pair.name')}
    <input
      class="input mt-1 h-14 w-full text-xl"
      placeholder={say('pair.name_example')}
      maxlength="60"
      bind:value={name}
    />
  </label>
  <button class="btn btn-primary stove-btn mt-4 w-full" disabled={letters < 8}>{say('pair.do')}</button>
</form>

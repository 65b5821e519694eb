<script lang="ts">
  import { CalendarClock, CookingPot, Ellipsis, FileBraces, Link, Printer } from '@lucide/svelte';
  import { api, type Plan } from '../../api/client';
  import Menu from '../../ui/Menu.svelte';
  import { saveFile } from '../../ui/saveFile';
  import { begin } from '../../state/practiceDinner.svelte';
  import type { Tonight } from '../../state/tonight.svelte';
  import { say } from '../../messages/say';

  type Props = { tonight: Tonight; plan: Plan };
  let { tonight, plan }: Props = $props();
  let said = $state('');

  async function calendar() {
    const answer = await api.calendar(tonight.asked);
    if (answer.ok) saveFile(answer.value as unknown as Blob, 'dinner.ics');
    said = answer.ok ? say('take.saved', { file: 'dinner.ics' }) : answer.problem.detail;
  }

  function json() {
    saveFile(new Blob([JSON.stringify(plan.cook, null, 2)], { type: 'application/json' }), 'cook.json');
    said = say('take.saved', { file: 'cook.json' });
  }

  /** In a kitchen that nobody knows, as it was planned just now. */
  function practise() {
    const { keptAs, ...dish } = tonight.asked;
    void keptAs;
    begin(plan.title, { dish, plannedAt: null }, 'usual');
  }

  async function link() {
    const { open } = tonight;
    if (!open) return;
    const address = new URL(`/dinner/${open.id}`, location.href).href;
    try {
      await navigator.clipboard.writeText(address);
      said = say('take.copied');
    } catch {
      // Without permission for the clipboard the address is shown to be copied by hand.
      said = address;
    }
  }
</script>

<Menu>
  {#snippet name()}<Ellipsis size={18} /> {say('take.title')}{/snippet}
  <ul class="menu w-full p-0">
    <li><button onclick={() => print()}><Printer size={18} /> {say('take.print')}</button></li>
    <li><button onclick={calendar}><CalendarClock size={18} /> {say('take.calendar')}</button></li>
    <li><button onclick={json}><FileBraces size={18} /> {say('take.json')}</button></li>
    <li>
      <button onclick={link} disabled={!tonight.open}
        ><Link size={18} /> {tonight.open ? say('take.link') : say('take.link_first')}</button
      >
    </li>
    <li>
      <a href="/practice/dinner" onclick={practise}><CookingPot size={18} /> {say('practice.this_dinner')}</a>
    </li>
    {#if said}<li class="px-3 py-1 text-sm break-all" role="status">{said}</li>{/if}
  </ul>
</Menu>

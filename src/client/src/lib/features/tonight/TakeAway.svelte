<script lang="ts">
  import { CalendarClock, Ellipsis, FileBraces, Link, Printer } from '@lucide/svelte';
  import { api, type Plan } from '../../api/client';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight; plan: Plan };
  let { tonight, plan }: Props = $props();
  let said = $state('');

  function save(blob: Blob, name: string) {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(blob);
    link.download = name;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  }

  async function calendar() {
    const answer = await api.calendar(tonight.asked);
    if (answer.ok) save(answer.value as unknown as Blob, 'dinner.ics');
    said = answer.ok ? 'Saved as dinner.ics.' : answer.problem.detail;
  }

  function json() {
    save(new Blob([JSON.stringify(plan.cook, null, 2)], { type: 'application/json' }), 'cook.json');
    said = 'Saved as cook.json.';
  }

  async function link() {
    const { open } = tonight;
    if (!open) return;
    const address = new URL(`/dinner/${open.id}`, location.href).href;
    try {
      await navigator.clipboard.writeText(address);
      said = 'The link is copied.';
    } catch {
      // Without permission for the clipboard the address is shown to be copied by hand.
      said = address;
    }
  }
</script>

<details class="dropdown dropdown-end">
  <summary class="btn btn-ghost"><Ellipsis size={18} /> Take along</summary>
  <ul class="menu dropdown-content dish bg-base-100 z-20 w-64 p-2 shadow-lg">
    <li><button onclick={() => print()}><Printer size={18} /> Print on one page</button></li>
    <li><button onclick={calendar}><CalendarClock size={18} /> Calendar with alarms</button></li>
    <li><button onclick={json}><FileBraces size={18} /> The cook as JSON</button></li>
    <li>
      <button onclick={link} disabled={!tonight.open}
        ><Link size={18} /> {tonight.open ? 'Copy the link' : 'Link: keep it first'}</button
      >
    </li>
    {#if said}<li class="px-3 py-1 text-sm break-all" role="status">{said}</li>{/if}
  </ul>
</details>

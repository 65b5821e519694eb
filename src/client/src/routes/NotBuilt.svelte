<script lang="ts">
  import Notice from '../lib/ui/Notice.svelte';
  import { p } from '../router';
  import { say } from '../lib/messages/say';
</script>

<svelte:head><title>{say('page.title', { view: say('page.nowhere') })}</title></svelte:head>
<Notice title={say('page.nowhere.title')} text={say('page.nowhere.text')}>
  <a class="btn btn-primary mt-4" href={p('/')}>{say('page.to_tonight')}</a>
</Notice>

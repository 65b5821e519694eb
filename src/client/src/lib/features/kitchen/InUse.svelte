<script lang="ts">
  import { say } from '../../messages/say';

  type Props = { users: { dinners: string[]; count: number }; onyes: () => void; onno: () => void };
  let { users, onyes, onno }: Props = $props();
  /** Names that are told. */
  const most = 3;
</script>

<div class="bg-base-200 mt-2 rounded-lg p-3" role="alert" data-in-use>
  <p>
    {say('kitchen.users', {
      count: users.count,
      dinners: users.dinners.slice(0, most).join(', '),
      more: users.count > most ? 'yes' : null,
    })}
  </p>
  <div class="mt-2 flex gap-2">
    <button class="btn btn-sm btn-primary" onclick={onyes}>{say('kitchen.remove_yes')}</button>
    <button class="btn btn-sm btn-ghost" onclick={onno}>{say('kitchen.remove_no')}</button>
  </div>
</div>

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\EditRecord;
use App\Models\Invitation;
use App\Models\Job;
use App\Models\Photo;
use App\Models\Space;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Removes what nobody can reach any more: run once a day by the schedule. */
final class PruneCommand extends Command
{
    /** Hours for which a session is kept in which nobody is signed in. */
    private const STRANGERS = 24;

    protected $signature = 'incastro:prune';

    protected $description = 'Remove what was taken out long ago, and what was remembered and is read no more';

    public function handle(): int
    {
        $now = Carbon::now();
        $goesFor = $now->copy()->subDays(config('incastro.put_back_days'));
        $counts = [
            'jobs' => Job::onlyTrashed()->where('deleted_at', '<', $goesFor)->forceDelete(),
            'spaces' => $this->spaces($goesFor),
            'photos' => $this->photos(),
            'invitations' => Invitation::query()->where('expires_at', '<', $now)->delete(),
            'sessions' => DB::table('sessions')->where('last_activity', '<', $now->copy()->subMinutes(config('session.lifetime'))->getTimestamp())->delete()
                + DB::table('sessions')->whereNull('user_id')->where('last_activity', '<', $now->copy()->subHours(self::STRANGERS)->getTimestamp())->delete(),
            'counts of tries' => DB::table('tries')->where('ends_at', '<', $now)->delete(),
            'cached values' => DB::table('cache')->where('expiration', '<', $now->getTimestamp())->delete(),
            'asked-for passwords' => DB::table('password_reset_tokens')->where('created_at', '<', $now->copy()->subDay())->delete(),
            'remembered stages' => $this->remembered($now),
        ];
        foreach ($counts as $what => $count) {
            $this->line("$what: $count");
        }

        return self::SUCCESS;
    }

    /** Spaces that were taken out go with the steps that would bring them back. */
    private function spaces(Carbon $before): int
    {
        $ids = Space::onlyTrashed()->where('deleted_at', '<', $before)->pluck('id')->all();
        EditRecord::query()->whereIn('target', $ids)->delete();

        return (int) Space::onlyTrashed()->whereKey($ids)->forceDelete();
    }

    /** Files of photos whose job is gone. */
    private function photos(): int
    {
        $disk = Storage::disk(config('incastro.photos'));
        $known = array_flip(Photo::query()->pluck('id')->all());
        $gone = array_values(array_filter($disk->allFiles('photos'), fn (string $path) => ! isset($known[substr(basename($path), 0, 36)])));
        $disk->delete($gone);

        return count($gone);
    }

    /** Those that nobody read for long, and of the others the longest unread beyond what all may take. */
    private function remembered(Carbon $now): int
    {
        $old = DB::table('stage_results')->where('read_at', '<', $now->copy()->subDays(config('incastro.remembered_days')))->delete();

        return $old + DB::delete('DELETE FROM stage_results USING (
            SELECT stage, hash, sum(length(result)) OVER (ORDER BY read_at DESC, hash) AS bytes FROM stage_results
        ) AS kept WHERE kept.stage = stage_results.stage AND kept.hash = stage_results.hash AND kept.bytes > ?', [config('incastro.remembered_bytes')]);
    }
}

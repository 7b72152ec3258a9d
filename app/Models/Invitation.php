<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link by which one person may join a job. Only the hash of what the link says is kept; it goes when it is used.
 *
 * @property string $id
 * @property string $job_id
 * @property string $token
 * @property Carbon $expires_at
 * @property Job $job
 */
final class Invitation extends Model
{
    use HasUuids;

    public const DAYS = 7;

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['expires_at' => 'datetime'];
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** Makes one, and gives what its link says. */
    public static function to(Job $job): string
    {
        $said = str()->random(40);
        self::query()->create(['job_id' => $job->id, 'token' => hash('sha256', $said), 'expires_at' => now()->addDays(self::DAYS)]);

        return $said;
    }

    /**
     * Those that still hold.
     *
     * @return Builder<self>
     */
    public static function open(): Builder
    {
        return self::query()->where('expires_at', '>', now());
    }

    /** The one that a link names, if it still holds. */
    public static function by(string $said): ?self
    {
        return self::open()->where('token', hash('sha256', $said))->whereHas('job')->with('job.home.user')->first();
    }
}

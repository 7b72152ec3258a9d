<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A job's plan frozen for cutting. It is never changed: a later one takes its place.
 *
 * @property string $id
 * @property string $job_id
 * @property ?string $user_id
 * @property string $author
 * @property int $number
 * @property string $hash  of what it was made of
 * @property array<string, mixed> $cutting
 * @property list<string> $cuts  ids of its cuts, beside it so that counting them need not read it
 * @property Carbon $created_at
 * @property Job $job
 */
final class Release extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['cutting' => 'array', 'cuts' => 'array', 'number' => 'integer'];
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    public static function newest(Job $job): ?self
    {
        return self::query()->where('job_id', $job->id)->latest('number')->first();
    }
}

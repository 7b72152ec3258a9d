<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property string $job_id
 * @property int $position
 * @property array<string, mixed> $choices
 * @property int $version
 * @property ?Carbon $deleted_at  when it was taken out
 * @property Job $job
 * @property ?Home $home
 * @property Collection<int, Fact> $facts
 */
final class Space extends Model
{
    use HasUuids;
    use SoftDeletes;

    protected $fillable = ['choices', 'position'];

    protected $attributes = ['version' => 1, 'position' => 0];

    protected function casts(): array
    {
        return ['choices' => 'array', 'version' => 'integer', 'position' => 'integer'];
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return HasOneThrough<Home, Job, $this> whose it is; none where the job was taken out */
    public function home(): HasOneThrough
    {
        return $this->hasOneThrough(Home::class, Job::class, 'id', 'id', 'job_id', 'home_id');
    }

    /** @return HasMany<Fact, $this> */
    public function facts(): HasMany
    {
        return $this->hasMany(Fact::class)->orderBy('taken_at')->orderBy('sequence');
    }
}

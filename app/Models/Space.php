<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $job_id
 * @property int $position
 * @property array<string, mixed> $choices
 * @property int $version
 * @property Job $job
 * @property Collection<int, Fact> $facts
 */
final class Space extends Model
{
    use HasUuids;

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

    /** @return HasMany<Fact, $this> */
    public function facts(): HasMany
    {
        return $this->hasMany(Fact::class)->orderBy('taken_at')->orderBy('sequence');
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Incastro\Measure\Unit;
use Incastro\Planning\SawChoices;

/**
 * @property string $id
 * @property string $user_id
 * @property string $name
 * @property list<array<string, mixed>> $ways_in
 * @property ?array<string, mixed> $saws  null while they are the usual ones
 * @property array<string, int> $at_hand  base units by the key of what is bought
 * @property list<array{code: string, part: string, material: string, name: string, thickness: int, length: int, width: int, place: string, job: string, reserved: ?string}> $offcuts  on its shelf, sizes in nm
 * @property int $offcut_number  the last that was written on one
 * @property array<string, mixed> $habits  what its lessons became: rules and thicknesses of new jobs, drying times, pace, names of people
 * @property User $user
 * @property Collection<int, Job> $jobs
 */
final class Home extends Model
{
    use HasUuids;

    protected $fillable = ['name', 'ways_in', 'saws', 'at_hand', 'offcuts', 'offcut_number', 'habits'];

    protected $attributes = ['ways_in' => '[]', 'at_hand' => '{}', 'offcuts' => '[]', 'offcut_number' => 0, 'habits' => '{}'];

    protected function casts(): array
    {
        return ['ways_in' => 'array', 'saws' => 'array', 'at_hand' => 'array', 'offcuts' => 'array', 'offcut_number' => 'integer', 'habits' => 'array'];
    }

    /**
     * Changes it under its lock: two who add to one list add one after the other.
     *
     * @template T
     *
     * @param  \Closure(self): T  $change
     * @return T
     */
    public static function changing(string $id, \Closure $change): mixed
    {
        return DB::transaction(fn () => $change(self::query()->lockForUpdate()->findOrFail($id)), attempts: 3);
    }

    /** @return array<string, mixed> its saws, the usual ones of a unit until somebody said otherwise */
    public function sawsIn(Unit $unit): array
    {
        return ($this->saws ?? []) + SawChoices::defaults($unit);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Job, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(Job::class)->orderBy('created_at')->orderBy('id');
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property string $home_id
 * @property array<string, mixed> $choices
 * @property int $version
 * @property ?int $cuts_in_all  of its newest release; null while there is none
 * @property int $cuts_made
 * @property array{fitting?: list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, at: string}>, log?: string} $noted  what stands of fitting day, and how much the log holds
 * @property Carbon $updated_at
 * @property ?Carbon $deleted_at  when it was taken out
 * @property Home $home
 * @property Collection<int, Space> $spaces
 * @property Collection<int, User> $helpers
 */
final class Job extends Model
{
    use HasUuids;
    use SoftDeletes;

    protected $fillable = ['choices'];

    protected $attributes = ['version' => 1, 'cuts_in_all' => null, 'cuts_made' => 0, 'noted' => '{}'];

    protected function casts(): array
    {
        return ['choices' => 'array', 'version' => 'integer', 'cuts_in_all' => 'integer', 'cuts_made' => 'integer', 'noted' => 'array'];
    }

    /** @return BelongsTo<Home, $this> */
    public function home(): BelongsTo
    {
        return $this->belongsTo(Home::class);
    }

    /** @return HasMany<Space, $this> */
    public function spaces(): HasMany
    {
        return $this->hasMany(Space::class)->orderBy('position')->orderBy('created_at');
    }

    /** A job of which no more is known than whose it is: whoever changes it reads it under its lock. */
    public static function known(string $id, Home $home): self
    {
        $job = (new self())->setRawAttributes(['id' => $id], true)->setRelation('home', $home);
        $job->exists = true;

        return $job;
    }

    /** @return BelongsToMany<User, $this> */
    public function helpers(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'helpers');
    }
}

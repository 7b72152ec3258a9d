<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property string $home_id
 * @property array<string, mixed> $choices
 * @property int $version
 * @property Carbon $updated_at
 * @property Home $home
 * @property Collection<int, Space> $spaces
 */
final class Job extends Model
{
    use HasUuids;

    protected $fillable = ['choices'];

    protected $attributes = ['version' => 1];

    protected function casts(): array
    {
        return ['choices' => 'array', 'version' => 'integer'];
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
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that happened and is only ever added: a take of a reading, or the withdrawal of another fact.
 *
 * @property string $id
 * @property string $space_id
 * @property string $user_id
 * @property string $device
 * @property int $sequence
 * @property string $kind
 * @property ?string $slot
 * @property ?array<string, int|string> $value
 * @property ?string $end
 * @property ?string $withdraws
 * @property ?array<string, mixed> $place  where it was taken, nm
 * @property Carbon $taken_at
 */
final class Fact extends Model
{
    use HasUuids;

    public const TAKE = 'take';

    public const WITHDRAWAL = 'withdrawal';

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected function casts(): array
    {
        return ['value' => 'array', 'place' => 'array', 'sequence' => 'integer', 'taken_at' => 'datetime'];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that happened and is only ever added: a take of a reading, or the withdrawal of another fact.
 *
 * @property string $id
 * @property string $space_id
 * @property ?string $user_id  none, when their account is gone
 * @property string $author  whoever made it, as they were called then
 * @property string $device
 * @property int $sequence
 * @property string $kind
 * @property ?string $slot
 * @property ?array<string, int|string> $value
 * @property ?string $end
 * @property ?string $withdraws
 * @property ?array<string, mixed> $place  where it was taken, nm
 * @property Carbon $taken_at
 * @property Carbon $recorded_at
 */
final class Fact extends Model
{
    use HasUuids;

    public const TAKE = 'take';

    public const WITHDRAWAL = 'withdrawal';

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    /**
     * A take as the planner reads it, straight from what is stored: of hundreds of facts, casting each field would take longer than all
     * else.
     *
     * @return array<string, mixed>
     */
    public function toTake(): array
    {
        $stored = $this->attributes;
        $json = fn (?string $text): mixed => $text === null ? null : json_decode($text, true);

        return [
            'id' => $stored['id'], 'slot' => $stored['slot'], 'value' => $json($stored['value']), 'end' => $stored['end'], 'place' => $json($stored['place']),
            // ISO 8601 in UTC, to the millisecond.
            'taken_at' => self::moment($stored['taken_at'])->format('Y-m-d\TH:i:s.v\Z'),
        ];
    }

    /**
     * Facts in the order of the book: as they were taken, those of one device that were taken at once as it counted them.
     *
     * @param  list<self>  $facts
     * @return list<self>
     */
    public static function inOrder(array $facts): array
    {
        $keys = array_map(fn (self $fact) => [(float) self::moment($fact->attributes['taken_at'])->format('U.v'), (int) $fact->attributes['sequence']], $facts);
        array_multisort($keys, $facts);

        return $facts;
    }

    private static function moment(string $stored): DateTimeImmutable
    {
        return (new DateTimeImmutable($stored))->setTimezone(new DateTimeZone('UTC'));
    }

    protected function casts(): array
    {
        return ['value' => 'array', 'place' => 'array', 'sequence' => 'integer', 'taken_at' => 'datetime', 'recorded_at' => 'datetime'];
    }
}

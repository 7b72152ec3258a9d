<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Something that happened to a job outside its plan, only ever added: at the saw, in the shop, on fitting day, or what the log is told; or
 * the withdrawal of such.
 *
 * @property string $id
 * @property string $job_id
 * @property ?string $release_id  that it happened by, at the saw
 * @property ?string $user_id
 * @property string $author
 * @property string $device
 * @property int $sequence
 * @property string $kind  one of Incastro\Saw\Ticks, Incastro\Install\FittingFacts or Incastro\Log\LogFacts
 * @property ?string $part  id of a part at the saw, key of an item in the shop
 * @property ?array<string, mixed> $body
 * @property list<string> $withdraws
 * @property Carbon $at
 *
 * @phpstan-type Told array{id: string, kind: string, part: ?string, body: array<string, mixed>|null, withdraws: list<string>, device: string, author: string, at: string}
 */
final class JobFact extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected function casts(): array
    {
        return ['body' => 'array', 'withdraws' => 'array', 'sequence' => 'integer', 'at' => 'datetime'];
    }

    /**
     * Rows and not models: a job may hold thousands.
     *
     * @param  list<string>|null  $kinds  null: all
     * @return list<Told> of a job, as they arrived
     */
    public static function ofJob(string $job, ?array $kinds = null): array
    {
        $rows = DB::table('job_facts')->where('job_id', $job)->when($kinds !== null, fn ($query) => $query->whereIn('kind', $kinds ?? []))
            ->orderBy('recorded_at')->orderBy('sequence')
            ->selectRaw("id, kind, part, body, withdraws, device, author, to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"') AS at")->get();

        return array_values($rows->map(fn (object $row): array => [
            'id' => (string) $row->id, 'kind' => (string) $row->kind, 'part' => $row->part, 'body' => $row->body === null ? null : json_decode($row->body, true),
            'withdraws' => $row->withdraws === '[]' ? [] : json_decode($row->withdraws, true), 'device' => (string) $row->device, 'author' => (string) $row->author, 'at' => (string) $row->at,
        ])->all());
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photo of a job: its bytes lie on the disk for photos, what it shows is a fact of the log.
 *
 * @property string $id
 * @property string $job_id
 * @property int $size  bytes, its thumbnail included
 * @property Carbon $created_at
 * @property ?Carbon $removed_at
 *
 * @phpstan-import-type Told from JobFact
 */
final class Photo extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected function casts(): array
    {
        return ['size' => 'integer', 'created_at' => 'datetime', 'removed_at' => 'datetime'];
    }

    public function path(bool $isSmall = false): string
    {
        return "photos/$this->job_id/$this->id".($isSmall ? '-small' : '').'.jpg';
    }

    /**
     * @param  list<Told>  $facts  that tell of photos and stand
     * @return list<array{id: string, fact: string, caption: string, where: string, at: string, removed: bool}> the newest first
     */
    public static function told(Job $job, array $facts): array
    {
        $photos = self::query()->where('job_id', $job->id)->get()->keyBy('id');
        $told = [];
        foreach ($facts as $fact) {
            $photo = $photos[$fact['body']['photo'] ?? ''] ?? null;
            if ($photo !== null) {
                $told[] = ['id' => $photo->id, 'fact' => $fact['id'], 'caption' => (string) ($fact['body']['caption'] ?? ''), 'where' => (string) ($fact['body']['where'] ?? ''), 'at' => $fact['at'], 'removed' => $photo->removed_at !== null];
            }
        }

        return array_reverse($told);
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Incastro\Saw\LabelCode;

/**
 * What a label on a piece of wood carries.
 *
 * @property string $code
 * @property string $job_id
 * @property string $mark
 * @property ?Job $job
 */
final class Label extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'code';

    protected $keyType = 'string';

    protected $guarded = [];

    /**
     * The code of each piece, made where it has none yet.
     *
     * @param  list<string>  $marks
     * @return array<string, string> by mark
     */
    public static function codes(Job $job, array $marks): array
    {
        $codes = self::query()->where('job_id', $job->id)->pluck('code', 'mark')->all();
        $new = [];
        foreach (array_diff($marks, array_keys($codes)) as $mark) {
            $codes[$mark] = LabelCode::make(random_int(...));
            $new[] = ['code' => $codes[$mark], 'job_id' => $job->id, 'mark' => $mark];
        }
        self::query()->insert($new);

        return $codes;
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * By what was scanned or typed. A foreign label is as good as none: both say the same.
     *
     * @param  mixed  $value
     * @param  ?string  $field
     */
    public function resolveRouteBinding($value, $field = null): self
    {
        $code = is_string($value) ? LabelCode::read($value) : null;
        $code ?? abort(404, 'The label was misread. Scan it again, or type the mark that stands on it.');

        return self::query()->findOrFail($code);
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One entry of a job's history: what was done, how it is undone, and whether it stands.
 *
 * `role` is edit, undo or redo; `state` of an edit is done, undone, or dropped (undone, and something else done since).
 * `forward` and `inverse` hold `{edit: …}` for a choice, `{facts: [ids]}` for facts, or `{space: "in" or "out"}` for a whole space.
 *
 * @property int $id
 * @property string $job_id
 * @property ?string $user_id  none, when their account is gone
 * @property string $author  whoever made it, as they were called then
 * @property string $role
 * @property string $target
 * @property string $label
 * @property array<string, mixed> $forward
 * @property array<string, mixed> $inverse
 * @property list<string> $touched
 * @property ?int $version
 * @property string $state
 * @property Carbon $created_at
 */
final class EditRecord extends Model
{
    public const DONE = 'done';

    public const UNDONE = 'undone';

    public const DROPPED = 'dropped';

    public $timestamps = false;

    protected $table = 'edits';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['forward' => 'array', 'inverse' => 'array', 'touched' => 'array', 'version' => 'integer', 'created_at' => 'datetime'];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One entry of a job's history: what was done, how it is undone, and whether it stands.
 *
 * `role` is edit, undo or redo; `state` of an edit is done, undone, or dropped (undone, and something else done since).
 * `forward` and `inverse` hold `{edit: …}` for a choice or `{facts: [ids]}` for facts.
 *
 * @property int $id
 * @property string $job_id
 * @property string $user_id
 * @property string $role
 * @property string $target
 * @property string $label
 * @property array<string, mixed> $forward
 * @property array<string, mixed> $inverse
 * @property list<string> $touched
 * @property ?int $version
 * @property string $state
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
        return ['forward' => 'array', 'inverse' => 'array', 'touched' => 'array', 'version' => 'integer'];
    }
}

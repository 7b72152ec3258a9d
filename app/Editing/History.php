<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\EditRecord;
use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\BuyChoices;
use Incastro\Planning\CuttingChoices;
use Incastro\Planning\FittingChoices;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutChoices;
use Incastro\Planning\MaterialChoices;
use Incastro\Planning\SpaceChoices;
use Incastro\Rules\Edit;

/**
 * Changes a job and remembers how to change it back: edits of choices, and facts, in one history a person can walk
 * along with undo and redo, also after closing the browser.
 */
final class History
{
    /** What runs into somebody else’s change is tried so often. */
    private const ATTEMPTS = 3;

    /** As much of the history is told. */
    private const TOLD = 100;

    private const SPACE_ADDED = 'space added';

    private const SPACE_OUT = 'space taken out';

    /**
     * Applies an edit to the job's own choices or to those of one of its spaces.
     *
     * @param  string  $id  of the job, or of the space
     *
     * @throws StaleDocument
     * @throws \Incastro\Planning\InvalidChoice
     */
    public function edit(Job $job, User $user, string $id, int $version, Edit $edit): void
    {
        $this->changing($job, function () use ($job, $user, $id, $version, $edit): void {
            $target = $this->target($job, $id);
            if ($target->version !== $version) {
                throw new StaleDocument($target->version, $this->changedSince($job, $target->id, $version));
            }
            $before = $target->choices;
            $inverse = $this->apply($job, $target, $edit);
            $touched = $target instanceof Job ? [$edit->path] : SpaceChoices::touched($before, $target->choices, $edit);
            $this->record($job, $user, $target->id, self::label($edit), ['edit' => $edit->toArray()], ['edit' => $inverse->toArray()], array_map(fn (string $id) => $target->id.':'.$id, $touched), $target->version);
        });
    }

    /**
     * Adds a space to the job, as a step that can be undone.
     *
     * @param  array<string, mixed>  $choices
     */
    public function addSpace(Job $job, User $user, array $choices): Space
    {
        return $this->changing($job, function () use ($job, $user, $choices): Space {
            $space = $job->spaces()->create(['choices' => $choices, 'position' => 1 + (int) $job->spaces()->withTrashed()->max('position')]);
            $this->record($job, $user, $space->id, self::SPACE_ADDED, ['space' => 'in'], ['space' => 'out'], [$space->id], null);

            return $space;
        });
    }

    /**
     * Takes a space out with everything in it, as a step that can be undone.
     *
     * @throws UndoRefused where it is the last one
     */
    public function takeOut(Job $job, User $user, string $space): void
    {
        $this->changing($job, function () use ($job, $user, $space): void {
            $this->stepSpace($job, $space, 'out');
            $this->record($job, $user, $space, self::SPACE_OUT, ['space' => 'out'], ['space' => 'in'], [$space], null);
        });
    }

    /**
     * Remembers facts that were just added as one step.
     *
     * @param  list<string>  $ids
     * @param  list<string>  $slots
     */
    public function recordFacts(Job $job, User $user, Space $space, array $ids, array $slots): void
    {
        $this->record($job, $user, $space->id, 'reading', ['facts' => $ids], ['facts' => $ids], array_map(fn (string $slot) => $space->id.':'.$slot, $slots), null);
    }

    /** @throws UndoRefused */
    public function undo(Job $job, User $user): void
    {
        $this->step($job, $user, 'undo');
    }

    /** @throws UndoRefused */
    public function redo(Job $job, User $user): void
    {
        $this->step($job, $user, 'redo');
    }

    /**
     * What undo and redo would do next, by name; null when there is nothing.
     *
     * @return array{undo: ?string, redo: ?string}
     */
    public function labels(Job $job, User $user): array
    {
        $next = $this->steps($job, $user)->select(['state', 'label'])->distinct(['state'])
            ->orderBy('state')->orderByRaw('CASE WHEN state = ? THEN -id ELSE id END', [EditRecord::DONE])->get()->pluck('label', 'state');

        return ['undo' => $next[EditRecord::DONE] ?? null, 'redo' => $next[EditRecord::UNDONE] ?? null];
    }

    /**
     * What was done to a job, the newest first.
     *
     * @return list<array{who: string, what: string, where: ?string, how: string, at: string}>
     */
    public function told(Job $job): array
    {
        $names = $job->spaces()->withTrashed()->get(['id', 'choices'])->pluck('choices.name', 'id');

        /** @var list<EditRecord> $records */
        $records = EditRecord::query()->where('job_id', $job->id)->orderByDesc('id')->limit(self::TOLD)->get()->all();

        return array_map(fn (EditRecord $record) => [
            'who' => $record->author, 'what' => $record->label, 'where' => $names[$record->target] ?? null, 'how' => $record->role, 'at' => $record->created_at->toIso8601ZuluString(),
        ], $records);
    }

    private function step(Job $job, User $user, string $role): void
    {
        $this->changing($job, function () use ($job, $user, $role): void {
            $record = $this->next($job, $user, $role) ?? throw new UndoRefused("There is nothing to $role.");
            $this->refuseWhenOthersChanged($record);
            $change = $role === 'undo' ? $record->inverse : $record->forward;
            $version = null;
            if (isset($change['edit'])) {
                $target = $this->target($job, $record->target);
                $this->apply($job, $target, new Edit($change['edit']['path'], $change['edit']['value']));
                $version = $target->version;
            } elseif (isset($change['space'])) {
                $this->stepSpace($job, $record->target, $change['space']);
            } else {
                $this->stepFacts($user, $record, $change['facts']);
            }
            $record->update(['state' => $role === 'undo' ? EditRecord::UNDONE : EditRecord::DONE]);
            EditRecord::query()->create([
                'job_id' => $job->id, 'user_id' => $user->id, 'author' => $user->name, 'role' => $role, 'target' => $record->target, 'label' => $record->label,
                'forward' => $change, 'inverse' => ['of' => $record->id], 'touched' => $record->touched, 'version' => $version,
            ]);
            $job->unsetRelation('spaces');
        });
    }

    /** @param string $where  in or out */
    private function stepSpace(Job $job, string $id, string $where): void
    {
        $space = $job->spaces()->withTrashed()->findOrFail($id);
        if ($where === 'in') {
            $space->restore();
        } elseif ($job->spaces()->whereKeyNot($id)->doesntExist()) {
            throw new UndoRefused('This is the last space of the job. Add another before you take it out, or take out the job.');
        } else {
            $space->delete();
        }
        $job->unsetRelation('spaces');
    }

    /**
     * Facts are never deleted: undoing them adds withdrawals, and redoing them withdraws those.
     *
     * @param  list<string>  $ids
     */
    private function stepFacts(User $user, EditRecord $record, array $ids): void
    {
        $device = (string) str()->uuid();
        $withdrawals = [];
        foreach ($ids as $sequence => $id) {
            $withdrawals[] = Fact::query()->create([
                'space_id' => $record->target, 'user_id' => $user->id, 'author' => $user->name, 'device' => $device, 'sequence' => $sequence,
                'kind' => Fact::WITHDRAWAL, 'withdraws' => $id, 'taken_at' => now(),
            ])->id;
        }
        // The next step in the other direction withdraws what this one added.
        $record->update($record->state === EditRecord::DONE ? ['forward' => ['facts' => $withdrawals]] : ['inverse' => ['facts' => $withdrawals]]);
    }

    private function next(Job $job, User $user, string $role): ?EditRecord
    {
        return $this->steps($job, $user)
            ->where('state', $role === 'undo' ? EditRecord::DONE : EditRecord::UNDONE)
            ->when($role === 'undo', fn (Builder $query) => $query->latest('id'), fn (Builder $query) => $query->oldest('id'))
            ->first();
    }

    /**
     * The steps along which a person can go. Where somebody else took a space out, what was done in it waits until the space is back.
     *
     * @return Builder<EditRecord>
     */
    private function steps(Job $job, User $user): Builder
    {
        $query = EditRecord::query();
        $query->where(['job_id' => $job->id, 'user_id' => $user->id, 'role' => 'edit'])
            ->whereIn('state', [EditRecord::DONE, EditRecord::UNDONE])
            ->where(fn (Builder $query) => $query->whereIn('label', [self::SPACE_ADDED, self::SPACE_OUT])
                ->orWhereNotIn('target', Space::onlyTrashed()->where('job_id', $job->id)->select('id')));

        return $query;
    }

    private function refuseWhenOthersChanged(EditRecord $record): void
    {
        $others = EditRecord::query()->where('job_id', $record->job_id)->where(fn (Builder $query) => $query->where('user_id', '!=', $record->user_id)->orWhereNull('user_id'))->where('id', '>', $record->id)->get();
        $isWhole = fn (EditRecord $one): bool => in_array($one->target, $one->touched, true);
        foreach ($others as $other) {
            $isSame = $other->target === $record->target && ($isWhole($record) || $isWhole($other));
            if ($isSame || array_intersect($other->touched, $record->touched) !== []) {
                throw new UndoRefused(sprintf('Somebody else changed “%s” since. Change it by hand if it should go back.', $record->label));
            }
        }
    }

    /**
     * Whoever changes anything of a job locks the job first: one order for all, so that nobody waits for each other. The change finds
     * the job as it is then.
     *
     * @template T
     *
     * @param  Closure(): T  $change
     * @return T
     */
    public function changing(Job $job, Closure $change): mixed
    {
        return DB::transaction(function () use ($job, $change): mixed {
            $job->setRawAttributes(Job::query()->lockForUpdate()->findOrFail($job->id)->getAttributes(), true);
            $job->unsetRelation('spaces');

            return $change();
        }, attempts: self::ATTEMPTS);
    }

    private function target(Job $job, string $id): Job|Space
    {
        return $id === $job->id ? $job : $job->loadMissing('spaces.facts')->spaces->find($id) ?? throw (new ModelNotFoundException())->setModel(Space::class, [$id]);
    }

    private function apply(Job $job, Job|Space $target, Edit $edit): Edit
    {
        [$choices, $inverse] = $target instanceof Job
            ? JobChoices::apply($target->choices, $edit)
            : SpaceChoices::apply($target->choices, $edit, LengthFormat::of($job->choices['measure']), MaterialChoices::read($job->choices)->carcass->thickness);
        $target->choices = $choices;
        $target->version++;
        $target->save();
        if ($target instanceof Space && str_starts_with($edit->path, 'layout')) {
            MarkBook::settle($job);
        }

        return $inverse;
    }

    /** What an edit is called in the history. */
    private static function label(Edit $edit): string
    {
        return match (true) {
            str_starts_with($edit->path, 'layout') => LayoutChoices::label($edit),
            str_starts_with($edit->path, 'sheets.') => CuttingChoices::LABELS[$edit->path] ?? $edit->path,
            str_starts_with($edit->path, 'buying.') => BuyChoices::LABELS[$edit->path] ?? $edit->path,
            str_starts_with($edit->path, 'installing.') => FittingChoices::label($edit->path),
            default => $edit->path,
        };
    }

    /** @return list<string> */
    private function changedSince(Job $job, string $target, int $version): array
    {
        return array_values(EditRecord::query()->where(['job_id' => $job->id, 'target' => $target])->where('version', '>', $version)->pluck('label')->unique()->all());
    }

    /**
     * @param  array<string, mixed>  $forward
     * @param  array<string, mixed>  $inverse
     * @param  list<string>  $touched
     */
    private function record(Job $job, User $user, string $target, string $label, array $forward, array $inverse, array $touched, ?int $version): void
    {
        $record = (new EditRecord())->fill([
            'job_id' => $job->id, 'user_id' => $user->id, 'author' => $user->name, 'role' => 'edit', 'target' => $target, 'label' => $label,
            'forward' => $forward, 'inverse' => $inverse, 'touched' => $touched, 'version' => $version,
        ])->getAttributes();
        // What was undone before can be redone no more: said in the same breath.
        DB::insert(
            'WITH dropped AS (UPDATE edits SET state = ? WHERE job_id = ? AND user_id = ? AND state = ?) INSERT INTO edits ('.implode(', ', array_keys($record)).') VALUES ('.implode(', ', array_fill(0, count($record), '?')).')',
            [EditRecord::DROPPED, $job->id, $user->id, EditRecord::UNDONE, ...array_values($record)],
        );
    }
}

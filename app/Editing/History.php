<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\EditRecord;
use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Incastro\Measure\LengthFormat;
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
    public const ATTEMPTS = 3;

    /**
     * Applies an edit to the job's own choices or to those of one of its spaces.
     *
     * @throws StaleDocument
     * @throws \Incastro\Planning\InvalidChoice
     */
    public function edit(Job $job, User $user, ?Space $space, int $version, Edit $edit): void
    {
        DB::transaction(function () use ($job, $user, $space, $version, $edit): void {
            $this->lock($job);
            $target = $this->locked($job, $space);
            if ($target->version !== $version) {
                throw new StaleDocument($target->version, $this->changedSince($job, $target->id, $version));
            }
            $before = $target->choices;
            $inverse = $this->apply($job, $target, $edit);
            $touched = $target instanceof Job ? [$edit->path] : SpaceChoices::touched($before, $target->choices, $edit);
            $this->record($job, $user, $target->id, self::label($edit), ['edit' => $edit->toArray()], ['edit' => $inverse->toArray()], array_map(fn (string $id) => $target->id.':'.$id, $touched), $target->version);
        }, attempts: self::ATTEMPTS);
        $job->refresh();
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
        return ['undo' => $this->next($job, $user, 'undo')?->label, 'redo' => $this->next($job, $user, 'redo')?->label];
    }

    private function step(Job $job, User $user, string $role): void
    {
        DB::transaction(function () use ($job, $user, $role): void {
            $this->lock($job);
            $record = $this->next($job, $user, $role) ?? throw new UndoRefused("There is nothing to $role.");
            $this->refuseWhenOthersChanged($record);
            $change = $role === 'undo' ? $record->inverse : $record->forward;
            $version = null;
            if (isset($change['edit'])) {
                $version = $this->stepChoice($job, $record->target, new Edit($change['edit']['path'], $change['edit']['value']));
            } else {
                $this->stepFacts($user, $record, $change['facts']);
            }
            $record->update(['state' => $role === 'undo' ? EditRecord::UNDONE : EditRecord::DONE]);
            EditRecord::query()->create([
                'job_id' => $job->id, 'user_id' => $user->id, 'role' => $role, 'target' => $record->target, 'label' => $record->label,
                'forward' => $change, 'inverse' => ['of' => $record->id], 'touched' => $record->touched, 'version' => $version,
            ]);
        }, attempts: self::ATTEMPTS);
        $job->refresh();
    }

    private function stepChoice(Job $job, string $target, Edit $edit): int
    {
        $document = $this->locked($job, $target === $job->id ? null : $job->spaces()->findOrFail($target));
        $this->apply($job, $document, $edit);

        return $document->version;
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
                'space_id' => $record->target, 'user_id' => $user->id, 'device' => $device, 'sequence' => $sequence,
                'kind' => Fact::WITHDRAWAL, 'withdraws' => $id, 'taken_at' => now(),
            ])->id;
        }
        // The next step in the other direction withdraws what this one added.
        $record->update($record->state === EditRecord::DONE ? ['forward' => ['facts' => $withdrawals]] : ['inverse' => ['facts' => $withdrawals]]);

    }

    private function next(Job $job, User $user, string $role): ?EditRecord
    {
        return EditRecord::query()
            ->where(['job_id' => $job->id, 'user_id' => $user->id, 'role' => 'edit'])
            ->where('state', $role === 'undo' ? EditRecord::DONE : EditRecord::UNDONE)
            ->when($role === 'undo', fn (Builder $query) => $query->latest('id'), fn (Builder $query) => $query->oldest('id'))
            ->first();
    }

    private function refuseWhenOthersChanged(EditRecord $record): void
    {
        $others = EditRecord::query()->where('job_id', $record->job_id)->where('user_id', '!=', $record->user_id)->where('id', '>', $record->id)->get();
        foreach ($others as $other) {
            if (array_intersect($other->touched, $record->touched) !== []) {
                throw new UndoRefused(sprintf('Somebody else changed “%s” since. Change it by hand if it should go back.', $record->label));
            }
        }
    }

    /** Whoever changes anything of a job locks the job first: one order for all, so that nobody waits for each other. */
    public function lock(Job $job): Job
    {
        return Job::query()->lockForUpdate()->findOrFail($job->id);
    }

    private function locked(Job $job, ?Space $space): Job|Space
    {
        return $space === null
            ? Job::query()->lockForUpdate()->findOrFail($job->id)
            : Space::query()->lockForUpdate()->findOrFail($space->id);
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
            $target->refresh();
        }

        return $inverse;
    }

    /** What an edit is called in the history. */
    private static function label(Edit $edit): string
    {
        return str_starts_with($edit->path, 'layout') ? LayoutChoices::label($edit) : $edit->path;
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
        EditRecord::query()->where(['job_id' => $job->id, 'user_id' => $user->id, 'state' => EditRecord::UNDONE])->update(['state' => EditRecord::DROPPED]);
        EditRecord::query()->create([
            'job_id' => $job->id, 'user_id' => $user->id, 'role' => 'edit', 'target' => $target, 'label' => $label,
            'forward' => $forward, 'inverse' => $inverse, 'touched' => $touched, 'version' => $version,
        ]);
    }
}

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Incastro\Exchange\Format4;
use Incastro\Exchange\Format5;
use Incastro\Planning\JobReader;

/** A take keeps the place at which it was taken, a layout the marks on its wood: those that they have today. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('facts', fn (Blueprint $table) => $table->jsonb('place')->nullable());
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            $this->job((string) $job->id, json_decode((string) $job->choices, true));
        }
        foreach (DB::table('edits')->get(['id', 'forward', 'inverse']) as $edit) {
            DB::table('edits')->where('id', $edit->id)->update([
                'forward' => $this->step((string) $edit->forward),
                'inverse' => $this->step((string) $edit->inverse),
            ]);
        }
    }

    /** @param array<string, mixed> $choices */
    private function job(string $id, array $choices): void
    {
        $spaces = $takes = [];
        foreach (DB::table('spaces')->where('job_id', $id)->orderBy('position')->get(['id', 'choices']) as $space) {
            $withdrawn = DB::table('facts')->where('space_id', $space->id)->whereNotNull('withdraws')->pluck('withdraws')->all();
            $takes[$space->id] = [];
            foreach (DB::table('facts')->where('space_id', $space->id)->where('kind', 'take')->orderBy('taken_at')->get() as $fact) {
                $takes[$space->id][] = ['id' => $fact->id, 'slot' => $fact->slot, 'value' => json_decode((string) $fact->value, true), 'end' => $fact->end, 'isLeft' => ! in_array($fact->id, $withdrawn, true)];
            }
            $spaces[] = ['id' => $space->id] + Format4::space(json_decode((string) $space->choices, true)) + ['takes' => array_values(array_filter($takes[$space->id], fn (array $take) => $take['isLeft']))];
        }
        $document = Format5::materials($choices) + ['ways_in' => [], 'spaces' => $spaces];
        $before = Format4::asBefore(JobReader::read($document));
        foreach (Format4::job($document)['spaces'] as $space) {
            DB::table('spaces')->where('id', $space['id'])->update(['choices' => json_encode(array_diff_key($space, ['id' => 1, 'takes' => 1]))]);
            foreach (Format4::placed($takes[$space['id']], $before, $space['id']) as $take) {
                DB::table('facts')->where('id', $take['id'])->update(['place' => isset($take['place']) ? json_encode((object) $take['place']) : null]);
            }
        }
    }

    private function step(string $json): string
    {
        $step = json_decode($json, true);
        if (isset($step['edit']['path'])) {
            $step['edit'] = Format4::edit($step['edit']);
        }

        return (string) json_encode($step);
    }
};

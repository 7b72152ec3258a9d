<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Incastro\Exchange\Format5;

/** What stands in a layout is a unit of a kind with parameters of its own; materials are a list, and say what they are for. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            DB::table('jobs')->where('id', $job->id)->update(['choices' => json_encode(Format5::materials(json_decode((string) $job->choices, true)))]);
        }
        foreach (DB::table('spaces')->get(['id', 'choices']) as $space) {
            $choices = json_decode((string) $space->choices, true);
            $choices['layout'] = Format5::layout($choices['layout']);
            DB::table('spaces')->where('id', $space->id)->update(['choices' => json_encode($choices)]);
        }
        foreach (DB::table('edits')->get(['id', 'forward', 'inverse']) as $edit) {
            DB::table('edits')->where('id', $edit->id)->update([
                'forward' => $this->step((string) $edit->forward),
                'inverse' => $this->step((string) $edit->inverse),
            ]);
        }
    }

    private function step(string $json): string
    {
        $step = json_decode($json, true);
        if (isset($step['edit']['path'])) {
            $step['edit'] = Format5::edit($step['edit']);
        }

        return (string) json_encode($step);
    }
};

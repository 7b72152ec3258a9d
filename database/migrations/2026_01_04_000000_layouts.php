<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Incastro\Exchange\JobUpgrade;

/** A space's one box becomes a layout of runs, bays and tiers; a job says how raked tops are joined. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('spaces')->get(['id', 'choices']) as $space) {
            $choices = json_decode((string) $space->choices, true);
            if (! isset($choices['layout']['runs'])) {
                DB::table('spaces')->where('id', $space->id)->update(['choices' => json_encode(['layout' => JobUpgrade::layout($choices['layout'])] + $choices)]);
            }
        }
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            DB::table('jobs')->where('id', $job->id)->update(['choices' => json_encode(json_decode((string) $job->choices, true) + ['top_over_sides' => false])]);
        }
        // Steps that were recorded on the old layout lead nowhere.
        DB::table('edits')->where('label', 'like', 'layout.%')->update(['state' => 'dropped']);
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A job says how its boxes are joined and which tools are not at hand; a layout has lists of what its boxes have besides and of
 * what lies on walls. What said nothing of them is built as before.
 */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            DB::table('jobs')->where('id', $job->id)->update(['choices' => json_encode(json_decode((string) $job->choices, true) + ['schools' => [], 'tools' => []])]);
        }
        foreach (DB::table('spaces')->get(['id', 'choices']) as $space) {
            $choices = json_decode((string) $space->choices, true);
            $choices['layout'] += ['options' => [], 'surfaces' => []];
            DB::table('spaces')->where('id', $space->id)->update(['choices' => json_encode($choices)]);
        }
    }
};

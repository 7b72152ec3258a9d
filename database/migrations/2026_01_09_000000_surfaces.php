<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A layout has a list of what lies on walls. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('spaces')->get(['id', 'choices']) as $space) {
            $choices = json_decode((string) $space->choices, true);
            $choices['layout'] += ['surfaces' => []];
            DB::table('spaces')->where('id', $space->id)->update(['choices' => json_encode($choices)]);
        }
    }
};

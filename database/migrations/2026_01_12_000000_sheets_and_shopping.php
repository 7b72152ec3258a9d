<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Incastro\Planning\JobChoices;

/** A job says what its sheets are planned for and how it is shopped for: one from before as is usual. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            $choices = json_decode((string) $job->choices, true);
            DB::table('jobs')->where('id', $job->id)->update(['choices' => json_encode($choices + JobChoices::since($choices))]);
        }
    }
};

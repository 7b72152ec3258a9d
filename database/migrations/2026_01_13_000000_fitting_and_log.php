<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Incastro\Planning\JobChoices;

/** A job says when it is fitted; a home has habits, which its lessons became; photos lie in the database where no other place is configured. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (DB::table('jobs')->get(['id', 'choices']) as $job) {
            $choices = json_decode((string) $job->choices, true);
            DB::table('jobs')->where('id', $job->id)->update(['choices' => json_encode($choices + JobChoices::since($choices))]);
        }
        Schema::table('homes', function (Blueprint $table): void {
            $table->jsonb('habits')->default('{}');
        });
        Schema::table('jobs', function (Blueprint $table): void {
            // What stands of fitting day and how much the log holds, written whenever something is noted: no answer of the job asks its facts for it.
            $table->jsonb('noted')->default('{}');
        });
        Schema::create('blobs', function (Blueprint $table): void {
            $table->string('path', 200)->primary();
            $table->binary('bytes');
            $table->unsignedInteger('size');
            $table->timestampTz('created_at', 3);
        });
        Schema::create('photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('size');
            $table->timestampTz('created_at', 3);
            $table->timestampTz('removed_at', 3)->nullable();
        });
        Schema::table('job_facts', function (Blueprint $table): void {
            // A place in a room, a task or a lesson has a longer name than a part.
            $table->string('part', 160)->nullable()->change();
        });
    }
};

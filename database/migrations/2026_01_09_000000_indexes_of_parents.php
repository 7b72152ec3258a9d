<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** PostgreSQL indexes what a foreign key points to, not the key: every answer would look through other people's rows. */
return new class () extends Migration {
    public function up(): void
    {
        foreach (['homes' => ['user_id'], 'jobs' => ['home_id'], 'spaces' => ['job_id'], 'facts' => ['space_id', 'user_id'], 'edits' => ['user_id']] as $table => $columns) {
            Schema::table($table, fn (Blueprint $blueprint) => array_map(fn (string $column) => $blueprint->index($column), $columns));
        }
        Schema::table('edits', fn (Blueprint $blueprint) => $blueprint->index(['job_id', 'id']));
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A job may be worked on by two; what somebody wrote stays when their account goes, with their name. What is taken out can be put
 * back for a while, and what is remembered knows when it was last read.
 */
return new class () extends Migration {
    public function up(): void
    {
        foreach (['jobs', 'spaces'] as $table) {
            Schema::table($table, fn (Blueprint $blueprint) => $blueprint->softDeletesTz('deleted_at')->index());
        }
        foreach (['facts', 'edits'] as $table) {
            Schema::table($table, function (Blueprint $blueprint): void {
                $blueprint->string('author', 80)->default('');
                $blueprint->dropForeign(['user_id']);
                $blueprint->uuid('user_id')->nullable()->change();
                $blueprint->foreign('user_id')->references('id')->on('users')->nullOnDelete();
            });
            DB::statement("UPDATE $table SET author = left(users.name, 80) FROM users WHERE users.id = $table.user_id");
        }
        Schema::create('helpers', function (Blueprint $table): void {
            $table->foreignUuid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->index()->constrained()->cascadeOnDelete();
            $table->timestampTz('created_at')->useCurrent();
            $table->primary(['job_id', 'user_id']);
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->index()->constrained()->cascadeOnDelete();
            $table->string('token', 64)->unique();
            $table->timestampTz('expires_at');
            $table->timestampTz('created_at')->useCurrent();
        });
        Schema::table('users', fn (Blueprint $table) => $table->string('recovery_code')->nullable());
        // Who is signed in is in the session alone: a cookie that lives for a year could not be ended from elsewhere.
        DB::table('users')->update(['remember_token' => null]);
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestampTz('created_at')->nullable();
        });
        // Counts that need not outlive a crash, written with every request: unlogged.
        DB::statement('CREATE UNLOGGED TABLE tries (key varchar(160) PRIMARY KEY, count integer NOT NULL, ends_at timestamptz NOT NULL)');
        Schema::table('stage_results', fn (Blueprint $table) => $table->timestampTz('read_at')->useCurrent()->index());
    }
};

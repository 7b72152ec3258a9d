<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The saws of a home and what is at hand there, what a job released for cutting, and what happened at the saw and in the shop. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('homes', function (Blueprint $table): void {
            $table->jsonb('saws')->nullable();
            $table->jsonb('at_hand')->default('{}');
            $table->jsonb('offcuts')->default('[]');
            // Counts up and is never used twice: a number is written on the wood.
            $table->unsignedInteger('offcut_number')->default(0);
        });
        Schema::table('jobs', function (Blueprint $table): void {
            $table->unsignedInteger('cuts_in_all')->nullable();
            $table->unsignedInteger('cuts_made')->default(0);
        });
        Schema::create('releases', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('author', 80);
            $table->unsignedInteger('number');
            // What it was made of, so that it is seen when that changes.
            $table->string('hash', 64);
            $table->jsonb('cutting');
            $table->jsonb('cuts');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['job_id', 'number']);
        });
        // A label stays on its wood: the code of a piece is the same in every release.
        Schema::create('labels', function (Blueprint $table): void {
            $table->string('code', 10)->primary();
            $table->foreignUuid('job_id')->constrained()->cascadeOnDelete();
            $table->string('mark', 80);
            $table->unique(['job_id', 'mark']);
        });
        Schema::create('job_facts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('release_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('author', 80);
            $table->uuid('device');
            $table->unsignedBigInteger('sequence');
            $table->string('kind', 20);
            // What it is about: a part at the saw, an item in the shop.
            $table->string('part', 120)->nullable();
            $table->jsonb('body')->nullable();
            $table->jsonb('withdraws');
            $table->timestampTz('at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->unique(['device', 'sequence']);
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('homes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('user_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->timestampsTz();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('home_id')->constrained()->cascadeOnDelete();
            $table->jsonb('choices');
            $table->unsignedInteger('version')->default(1);
            $table->timestampsTz();
        });
        Schema::create('spaces', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position')->default(0);
            $table->jsonb('choices');
            $table->unsignedInteger('version')->default(1);
            $table->timestampsTz();
        });
        // Facts are only ever added: each comes from a device with a number of its own, so that sending it twice is harmless.
        Schema::create('facts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('space_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained()->cascadeOnDelete();
            $table->uuid('device');
            $table->unsignedBigInteger('sequence');
            $table->string('kind');
            $table->string('slot')->nullable();
            $table->jsonb('value')->nullable();
            $table->string('end')->nullable();
            $table->uuid('withdraws')->nullable()->index();
            $table->timestampTz('taken_at', 3);
            $table->timestampTz('recorded_at', 3)->useCurrent();
            $table->unique(['device', 'sequence']);
        });
        Schema::create('edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('user_id')->constrained()->cascadeOnDelete();
            $table->string('role');
            $table->uuid('target');
            $table->string('label');
            $table->jsonb('forward');
            $table->jsonb('inverse');
            $table->jsonb('touched');
            $table->unsignedInteger('version')->nullable();
            $table->string('state')->default('done');
            $table->timestampTz('created_at', 3)->useCurrent();
            $table->index(['job_id', 'user_id', 'state']);
        });
        Schema::create('stage_results', function (Blueprint $table): void {
            $table->string('stage');
            $table->string('hash', 64);
            $table->text('result');
            $table->timestampTz('created_at')->useCurrent();
            $table->primary(['stage', 'hash']);
        });
    }
};

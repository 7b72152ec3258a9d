<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Incastro\Planning\SpaceChoices;

return new class () extends Migration {
    public function up(): void
    {
        // Spaces made so far are alcoves without things on their faces.
        DB::statement('UPDATE spaces SET choices = ?::jsonb || choices', [json_encode(SpaceChoices::sinceFormat2(), JSON_THROW_ON_ERROR)]);
        Schema::table('homes', function (Blueprint $table): void {
            $table->jsonb('ways_in')->default('[]');
        });
    }
};

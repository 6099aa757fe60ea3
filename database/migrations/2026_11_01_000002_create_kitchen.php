<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('salts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->string('name', 80);
            $table->unsignedSmallInteger('position');
            foreach (['low', 'typical', 'high'] as $end) {
                $table->double("density_{$end}_g_per_us_tbsp");
                $table->double("sodium_{$end}_mg_per_100g");
            }
            $table->double('water_g_per_100g');
            $table->boolean('iodised');
            $table->boolean('anti_caking');
            $table->boolean('potassium');
            $table->boolean('calibrated')->default(false);
            $table->timestamps();
            $table->unique(['household_id', 'key']);
        });

        Schema::create('ingredients', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->string('name', 80);
            $table->string('use', 16)->comment('vegetable or starter');
            $table->double('water_g_per_100g');
            foreach (['low', 'typical', 'high'] as $end) {
                $table->double("sodium_{$end}_mg_per_100g");
            }
            $table->double('density_g_per_ml');
            $table->string('shape', 16);
            $table->boolean('hollow');
            $table->boolean('live');
            $table->double('brine_floor_of_water');
            $table->string('colour', 7);
            $table->string('source', 160);
            $table->timestamps();
            $table->unique(['household_id', 'key']);
        });

        Schema::create('jars', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedSmallInteger('position');
            $table->double('nominal_ml');
            $table->double('mouth_mm');
            $table->double('body_mm');
            $table->string('cover', 16);
            $table->unsignedSmallInteger('how_many');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['jars', 'ingredients', 'salts'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

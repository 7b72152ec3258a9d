<?php

declare(strict_types=1);

namespace App\Demo;

use App\Exchange\JobPorter;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The demo account with the made-up Ferryman's Cottage, whose jobs are job files in database/demo. */
final readonly class Demo
{
    /** Its jobs, in the order of the list. */
    private const JOBS = ['landing-alcove', 'eaves-berth', 'oar-store', 'cylinder-cupboard', 'map-wall'];

    public function __construct(private JobPorter $porter)
    {
    }

    /** Makes the account if it is missing, and its homes anew. */
    public function make(): User
    {
        return DB::transaction(function (): User {
            $demo = User::query()->firstOrNew(['email' => config('incastro.demo_email')]);
            $demo->forceFill(['name' => 'Demo', 'password' => config('incastro.demo_password'), 'is_demo' => true])->save();
            $demo->homes()->delete();
            $home = $demo->homes()->create(['name' => 'The Ferryman’s Cottage', 'ways_in' => self::waysIn()]);
            foreach (self::JOBS as $name) {
                $this->porter->import($home, $demo, (string) file_get_contents(database_path("demo/$name.json")));
            }

            return $demo;
        });
    }

    /**
     * From the street to the landing.
     *
     * @return list<array<string, mixed>>
     */
    private static function waysIn(): array
    {
        $mm = fn (string $text) => ['nm' => (int) $text * 1_000_000, 'typed' => $text];
        $way = fn (string $id, string $kind, string $name, string $width, string $height, ?string $second = null) => [
            'id' => $id, 'kind' => $kind, 'name' => $name, 'width' => $mm($width), 'height' => $mm($height), 'second_width' => $second === null ? null : $mm($second),
        ];

        return [
            $way('street-door', 'door', 'Street door', '810', '1990'),
            $way('hall-turn', 'turn', 'Turn at the foot of the stair', '940', '2360', '860'),
            $way('stair', 'stair', 'Stair to the landing', '820', '1980'),
        ];
    }
}

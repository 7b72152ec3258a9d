<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Saw\GuidedSaw;
use Incastro\Saw\MitreSaw;
use Incastro\Saw\TableSaw;
use Incastro\Saw\Tools;
use Incastro\Saw\Yard;

/** Reads the tools owned from JSON; one that is not named is not owned. */
final class ToolsFile
{
    private const MOST_KG = 200.0;

    /** @throws BadFile */
    public static function read(string $file, string $json): Tools
    {
        $from = new JsonFile($file, $json, 'an object with table_saw, guided_saw, mitre_saw and people, each of which may be missing');
        $tool = function (string $name) use ($from): ?array {
            $given = $from->data[$name] ?? null;
            if ($given !== null && ! is_array($given)) {
                $from->fault(".$name", 'It must be an object, or be missing where the tool is not owned.');
            }

            return is_array($given) ? $given : null;
        };
        $tools = new Tools(
            self::table($from, $tool('table_saw')),
            self::guided($from, $tool('guided_saw')),
            self::mitre($from, $tool('mitre_saw')),
            (int) $from->number($from->data, 'people', '', 1, 2, 1.0),
            self::yard($from, $tool('yard')),
        );
        $from->refuseFaults();

        return $tools;
    }

    /** @param array<mixed>|null $given */
    private static function table(JsonFile $from, ?array $given): ?TableSaw
    {
        if ($given === null) {
            return null;
        }
        $nm = self::lengths($from, $given, '.table_saw');
        $sled = is_array($given['sled'] ?? null) ? $given['sled'] : null;
        $sledNm = self::lengths($from, $sled ?? [], '.table_saw.sled');

        return new TableSaw(
            $nm('kerf', 0.5, 3.2),
            $nm('rip', 50, 610),
            $from->number($given, 'push_alone', '.table_saw', 1, self::MOST_KG, 20.0),
            $from->number($given, 'push_two', '.table_saw', 1, self::MOST_KG, 35.0),
            $nm('least_contact', 50, 300),
            $sled === null ? null : $sledNm('widest', 50, 600),
            $sled === null ? 0 : $sledNm('stop', 50, 900),
            $nm('height', 5, 75),
            $from->yesNo($given, 'outfeed', '.table_saw', false),
        );
    }

    /** @param array<mixed>|null $given */
    private static function guided(JsonFile $from, ?array $given): ?GuidedSaw
    {
        if ($given === null) {
            return null;
        }
        $nm = self::lengths($from, $given, '.guided_saw');
        $guides = [];
        foreach (is_array($given['guides'] ?? null) ? $given['guides'] : [] as $i => $guide) {
            $guides[] = $from->millimetres(['guide' => $guide], 'guide', ".guided_saw.guides[$i]", 200)->nanometres();
        }
        if ($guides === []) {
            $from->fault('.guided_saw.guides', 'It must be a list of the lengths of the guides, such as [1400].');
            $guides = [PHP_INT_MAX];
        }
        $saw = new GuidedSaw($nm('kerf', 0.5, 2.2), $guides, $nm('run_on', 0, 150), $nm('offset', 0, 0), $nm('offset_waste', 0, 0), $nm('depth', 5, 55));
        if ($saw->reach() <= 0) {
            $from->fault('.guided_saw.run_on', 'The guides are no longer than what runs on before and behind the cut: nothing could be cut.');
        }

        return $saw;
    }

    /** @param array<mixed>|null $given */
    private static function mitre(JsonFile $from, ?array $given): ?MitreSaw
    {
        if ($given === null) {
            return null;
        }
        $nm = self::lengths($from, $given, '.mitre_saw');

        return new MitreSaw($nm('kerf', 0.5, 3.2), $nm('widest', 20, 300), $nm('height', 5, 90), $nm('stop', 50, 2400), $nm('least_held', 0, 150));
    }

    /** @param array<mixed>|null $given */
    private static function yard(JsonFile $from, ?array $given): ?Yard
    {
        if ($given === null) {
            return null;
        }
        $nm = self::lengths($from, $given, '.yard');

        return new Yard((int) $from->number($given, 'cuts', '.yard', 0, 20, 3.0), $nm('tolerance', 0, 2), $nm('least_strip', 10, 100), $nm('kerf', 0.5, 4), $nm('oversize', 0, 5), $nm('step', 0.1, 1));
    }

    /**
     * @param  array<mixed>  $given
     * @return \Closure(string, float, float): int
     */
    private static function lengths(JsonFile $from, array $given, string $path): \Closure
    {
        return fn (string $key, float $least, float $default): int => $from->millimetres($given, $key, $path, $least, $default)->nanometres();
    }
}

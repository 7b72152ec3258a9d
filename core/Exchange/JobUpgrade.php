<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Planning\JobReader;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpaceChoices;

/** Brings a job file of an older format to the newest, one step after another. */
final class JobUpgrade
{
    /**
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    public static function toFormat3(array $file): array
    {
        if ($file['format'] === 1) {
            $file['job']['spaces'] = array_map(fn (array $space) => $space + SpaceChoices::sinceFormat2(), $file['job']['spaces']);
        }
        if ($file['format'] < 3) {
            $file['job'] += ['top_over_sides' => false, 'ways_in' => []];
            $file['job']['spaces'] = array_map(fn (array $space) => ['layout' => self::layout($space['layout'])] + $space, $file['job']['spaces']);
        }

        return ['format' => max(3, $file['format'])] + $file;
    }

    /**
     * @param  array<string, mixed>  $file  of format 3 or newer, whose takes and layouts were checked
     * @return array<string, mixed>
     */
    public static function toNewest(array $file): array
    {
        $file['job'] = Format5::materials($file['job']);
        if ($file['format'] < 4) {
            $struck = $file['record']['takes'] ?? [];
            $before = Format4::asBefore(JobReader::read(['spaces' => array_map(Format4::space(...), $file['job']['spaces'])] + $file['job']));
            foreach ($struck as $t => $take) {
                $isKnown = in_array($take['space'], array_column($file['job']['spaces'], 'id'), true);
                $struck[$t] = $isKnown ? Format4::placed([$take], $before, $take['space'])[0] : $take;
            }
            $file['record'] = ['takes' => $struck];
            $file['job'] = Format4::job($file['job']);
        }

        // A file of the fourth format says what stands where in its own way; one written by hand may leave marks out.
        $file['job']['spaces'] = array_map(fn (array $space) => ['layout' => Format4::layout($space['layout'])] + $space, $file['job']['spaces']);

        return ['format' => JobFile::FORMAT] + $file;
    }

    /**
     * Until the third format a space held one box.
     *
     * @param  array<string, mixed>  $old
     * @return array<string, mixed>
     */
    public static function layout(array $old): array
    {
        // Ids that an older file left out: any will do, as long as they differ.
        ['run' => $run, 'box' => $box] = $old + ['run' => 'run', 'box' => 'box'];
        $layout = Recipe::oneBox($run, $box, $old, $old['fixed_shelves'], $old['adjustable_shelves']);
        foreach (array_filter($old['closings'], is_string(...)) as $side => $closing) {
            $layout['closings']["$side:$box"] = $closing;
        }

        return $layout;
    }
}

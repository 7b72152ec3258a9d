<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\SpaceChoices;

/** Brings a job file of an older format to the newest, one step after another. */
final class JobUpgrade
{
    /**
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    public static function toNewest(array $file): array
    {
        if ($file['format'] === 1) {
            $file['job']['spaces'] = array_map(fn (array $space) => $space + SpaceChoices::sinceFormat2(), $file['job']['spaces']);
        }
        if ($file['format'] < 3) {
            $file['job'] += ['top_over_sides' => false, 'ways_in' => []];
            $file['job']['spaces'] = array_map(fn (array $space) => ['layout' => self::layout($space['layout'])] + $space, $file['job']['spaces']);
        }

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
        $layout = LayoutDocument::oneBox($run, $box, $old, $old['fixed_shelves'], $old['adjustable_shelves']);
        foreach (array_filter($old['closings'], is_string(...)) as $side => $closing) {
            $layout['closings']["$side:$box"] = $closing;
        }

        return $layout;
    }
}

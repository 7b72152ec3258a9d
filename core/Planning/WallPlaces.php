<?php

declare(strict_types=1);

namespace Incastro\Planning;

/** What of a space stands along a wall, or at a corner, that its plan does not have. */
final class WallPlaces
{
    /**
     * @param  array<string, mixed>  $space  its document
     * @return array<string, array{string, int}> by path: what it is, and the number that is too high
     */
    public static function beyond(array $space, int $corners): array
    {
        $entries = [];
        foreach ($space['layout']['runs'] as $i => $run) {
            $entries["layout.runs[$i].wall"] = ['A run', $run['wall']];
        }
        foreach ($space['layout']['surfaces'] ?? [] as $i => $surface) {
            $entries["layout.surfaces[$i].on.wall"] = ['What lies on a wall', $surface['on']['wall']];
        }
        foreach ($space['things'] as $i => $thing) {
            $entries["things[$i].wall"] = ["“{$thing['name']}”", $thing['wall']];
        }
        foreach ($space['extras'] as $i => $extra) {
            foreach (['from', 'to', 'wall'] as $name) {
                $entries["extras[$i].$name"] = ['An added reading', $extra[$name] ?? 0];
            }
        }

        return array_filter($entries, fn (array $entry) => $entry[1] >= $corners);
    }
}

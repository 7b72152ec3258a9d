<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Layout\Layout;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Unknown;

/** What a layout holds that this edition does not know: nothing is built of it, and the person is told. */
final class UnknownKinds
{
    /** @return list<Finding> */
    public static function findings(Layout $layout): array
    {
        $findings = [];
        foreach ($layout->runs as $run) {
            foreach ($run->bays as $bay) {
                foreach ($bay->tiers as $tier) {
                    if ($tier->holds instanceof Unknown) {
                        $findings[] = self::clash($tier->holds->kind, $tier->id, new WayOut('Leave an open gap there', Edits::tier($tier->id)->emptied()));
                    }
                }
            }
        }
        foreach ($layout->unknown as $id => [$list, $kind]) {
            $findings[] = self::clash($kind, (string) $id, new WayOut('Take it away', Edits::without($list, (string) $id)));
        }

        return $findings;
    }

    /** @return list<Finding> what lies on a wall that is none any more */
    public static function nowhere(Layout $layout, SpaceShape $shape): array
    {
        $findings = [];
        foreach ($layout->surfaces as $surface) {
            if (! in_array($surface->wall, $shape->walls(), true)) {
                $findings[] = Finding::clash(Code::SurfaceNowhere, 'It lies on a wall that is none any more. Put it on another, or take it away.', $surface->id)->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($surface->id))]);
            }
        }

        return $findings;
    }

    private static function clash(string $kind, string $place, WayOut $way): Finding
    {
        return Finding::clash(Code::UnknownKind, sprintf('This edition does not know what “%s” is. It is kept, and nothing is built of it.', $kind), $place)->withWaysOut([$way]);
    }
}

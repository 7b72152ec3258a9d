<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Units\Assembly;

/** The usual cautions, where they apply (handbook, "Cautions"). They defer to local codes and licensed people. */
final class Cautions
{
    /** Furniture taller than this is anchored, mm. */
    private const TALL = 600;

    /** Heavier than this, a box is lifted by two people, kg. */
    private const HEAVY = 25.0;

    /** @return list<Finding> */
    public static function of(FittedRun $run, Assembly $assembly, Terms $terms): array
    {
        $place = $run->run->id;
        $cautions = [];
        foreach ($run->boxes as $box) {
            if ($box->highest() > self::TALL) {
                $cautions[] = Finding::note(Code::Anchor, 'Anchor every box to studs through its nailers, top and bottom: what is this tall can tip over. Check for cables and pipes with a detector before each screw.', $place);
                break;
            }
        }
        [$heaviest, $mark] = self::heaviest($run, $assembly, $terms);
        if ($heaviest > self::HEAVY) {
            $cautions[] = Finding::note(Code::Heavy, sprintf('The pieces of box %s together weigh about %.0f kg. Carry and stand it up with two people.', $mark, $heaviest), $place);
        }
        if (! $terms->rules->skirtingStays && $terms->room->skirtingThickness > 0.0) {
            $cautions[] = Finding::note(Code::Strip, 'Skirting comes off behind the furniture. Old paint may hold lead: test it before scraping or sanding.', $place);
        }
        $cautions[] = Finding::note(Code::Saw, 'Eyes, ears and a mask at the saw, no gloves at a spinning blade, support for long sheets.', $place);

        return $cautions;
    }

    /** @return array{float, string} mass in kg of the heaviest box with its face, and its mark */
    private static function heaviest(FittedRun $run, Assembly $assembly, Terms $terms): array
    {
        $masses = [];
        foreach ($assembly->placed as $placed) {
            $piece = $placed->piece;
            $masses[$placed->owner] = ($masses[$placed->owner] ?? 0.0) + $piece->weight();
        }
        $best = [0.0, ''];
        foreach ($run->boxes as $box) {
            $best = ($masses[$box->id] ?? 0.0) > $best[0] ? [$masses[$box->id], $box->mark] : $best;
        }

        return $best;
    }
}

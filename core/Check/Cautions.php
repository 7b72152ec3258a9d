<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedRun;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials;
use Incastro\Units\Assembly;

/** The usual cautions, where they apply (handbook, "Cautions"). They defer to local codes and licensed people. */
final class Cautions
{
    /** Furniture taller than this is anchored, mm. */
    private const TALL = 600;

    /** Heavier than this, a box is lifted by two people, kg. */
    private const HEAVY = 25.0;

    /** @return list<Finding> */
    public static function of(FittedRun $run, Assembly $assembly, HouseRules $rules, Materials $materials): array
    {
        $place = $run->cell->id;
        $cautions = [];
        if ($run->cell->outerHeight()->toDouble() > self::TALL) {
            $cautions[] = Finding::note('anchor', 'Anchor the box to studs through its nailers, top and bottom: it is tall enough to tip over. Check for cables and pipes with a detector before each screw.', $place);
        }
        $mass = self::mass($assembly, $materials);
        if ($mass > self::HEAVY) {
            $cautions[] = Finding::note('heavy', sprintf('All its pieces together weigh about %.0f kg. Carry and stand up the box with two people.', $mass), $place);
        }
        if (! $rules->skirtingStays) {
            $cautions[] = Finding::note('strip', 'Skirting comes off behind the furniture. Old paint may hold lead: test it before scraping or sanding.', $place);
        }
        $cautions[] = Finding::note('saw', 'Eyes, ears and a mask at the saw, no gloves at a spinning blade, support for long sheets.', $place);

        return $cautions;
    }

    /** Mass in kg of all pieces, from their outlines, thickness and density. */
    private static function mass(Assembly $assembly, Materials $materials): float
    {
        $mass = 0.0;
        foreach ($assembly->pieces() as $piece) {
            $mass += $piece->outline->area() * $piece->thickness->toDouble() * 1e-9 * $materials->of($piece->material)->density;
        }

        return $mass;
    }
}

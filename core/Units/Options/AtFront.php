<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\StandsForward;
use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\About;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Sites\OpeningSite;

/** A box shallower than its run stands at the front of it, not at the wall: a row that carries the front half of a bed. */
#[About('at-front', 'Stands at the front', 'Shallower than the run, with room behind it.', 'Place')]
final readonly class AtFront implements BoxOption, StandsForward
{
    /** Mm and inches. */
    private const DEEP = [400.0, 15.75];

    public function usualDepth(HouseRules $rules): Length
    {
        return $rules->either(...self::DEEP);
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        return $box;
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Sites\OpeningSite;

/** What drawers run on: how large it leaves them, what they are made as, and what carries them. Places are those of the opening, mm. */
interface Run
{
    /** What a drawer is lower than its share of the opening; the top one may want more. */
    public function air(HouseRules $rules, bool $isTop): Length;

    /** What keeps the lowest front off what is below it, where that is more than a gap. */
    public function under(HouseRules $rules): ?Length;

    /** A lower one holds nothing, mm. */
    public function lowest(): float;

    /** Clear width between stiles without which none is made. */
    public function narrowest(): Length;

    /** Depth behind a front without which none runs. */
    public function shallowest(HouseRules $rules, Catalogue $materials): Length;

    /** What must be free behind it. */
    public function behind(HouseRules $rules): Length;

    /** Outer width of a drawer. */
    public function width(OpeningSite $site): Working;

    /** Length of its slides, or of itself where it has none: the longest that a depth takes; null where that is too little. */
    public function length(OpeningSite $site, Length $free): ?Length;

    /** How far its foot lies over that of its share, mm. */
    public function up(HouseRules $rules): float;

    /**
     * The drawer itself without its front, whose back stands at y1.
     *
     * @param  array{int, int}  $dividers  from side to side, and from front to back
     */
    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody;

    /**
     * What carries it, and how it is held by that.
     *
     * @param  ?float  $head  where the share of the top drawer ends, z, mm; null for those below it
     */
    public function carried(OpeningSite $site, string $number, DrawerBody $body, Length $length, float $y1, float $up, ?float $head): Assembly;

    /** @return list<Hardware> on which a drawer of a weight runs, kg */
    public function hardware(OpeningSite $site, Length $length, float $weight): array;

    /** How far it is drawn out, mm. */
    public function travel(Length $length): float;
}

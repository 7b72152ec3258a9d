<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\Packers;
use Incastro\Units\Make\Slides;
use Incastro\Units\Sites\OpeningSite;

/** What all drawers on bought slides have alike. */
trait OnSlides
{
    public function under(HouseRules $rules): ?Length
    {
        return null;
    }

    public function lowest(): float
    {
        return 60.0;
    }

    public function shallowest(HouseRules $rules, Catalogue $materials): Length
    {
        return $materials->lengths(Slides::Light->kind(), $rules->unit)[0]->plus($this->behind($rules));
    }

    public function length(OpeningSite $site, Length $free): ?Length
    {
        return Slides::Light->longest($site->terms->materials, $site->terms->rules->unit, $free);
    }

    /** Packers bring the slides flush with the frame; their line lies so far over the foot of the box that one block sets them all. */
    public function carried(OpeningSite $site, string $number, DrawerBody $body, Length $length, float $y1, float $up, ?float $head): Assembly
    {
        $line = $up + min($body->high / 2, $site->terms->rules->either(32, 1.25)->toDouble());
        $packers = (new Packers($site))->build("drawer-$number", $length, $y1, $line);
        $at = [$site->at(0.0, 0.0, $line)->z];
        [$left, $right] = $site->beside();

        return Assembly::all($packers, new Assembly([], [
            new Joint($body->left, Packers::carrier($packers, 'L', $left), JointKind::Slide, 'drawers', at: $at),
            new Joint($body->right, Packers::carrier($packers, 'R', $right), JointKind::Slide, 'drawers', at: $at),
        ]));
    }

    public function travel(Length $length): float
    {
        return $length->toDouble();
    }

    public function air(HouseRules $rules, bool $isTop): Length
    {
        return $rules->get(Rule::DrawerAir);
    }
}

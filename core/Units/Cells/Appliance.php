<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Fixture;
use Incastro\Units\Sites\CellSite;

/** A place for a bought machine in a row: its own size, and the air that its maker's sheet asks for beside, over and behind it. */
#[About('appliance', 'Place for a machine', 'Left free for a washer, a cooler or an oven, with air round it.', 'Left free', 'M')]
final readonly class Appliance implements CellUnit
{
    public function __construct(
        #[Size('Width of the machine', ['600', '27'], 200, 1500)] public Length $width,
        #[Size('Height of the machine', ['850', '38'], 200, 2400)] public Length $height,
        #[Size('Depth of the machine', ['600', '30'], 200, 1200, 'With its door, without hoses.')] public Length $depth,
        #[Size('Air at each side', ['10', '3/8'], 0, 100, 'The maker’s sheet goes first.')] public Length $side,
        #[Size('Air over it', ['20', '3/4'], 0, 300)] public Length $above,
        #[Size('Air behind it', ['60', '2 3/8'], 0, 300, 'For hoses, the plug and warm air.')] public Length $behind,
        #[Toggle('It gives off heat', false)] public bool $heat,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Nothing;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::atLeast($this->width->plus($this->side->times(2)), 'the machine and air beside it need %s', Code::ApplianceTight),
            Extent::atLeast($this->height->plus($this->above), 'the machine and air over it need %s', Code::ApplianceTight),
            Extent::atLeast($this->depth->plus($this->behind), 'the machine and air behind it need %s', Code::ApplianceTight),
            isFromFloor: true,
        );
    }

    /** It stands in the middle of its place, its front in the plane of the face; what is built round it keeps clear of it. */
    public function build(CellSite $site): Assembly
    {
        $cell = $site->cell;
        $wide = $cell->width->result->toDouble();
        if ($cell->lacks($site->terms) !== []) {
            return new Assembly([]);
        }
        $u = $cell->u + ($wide - $this->width->toDouble()) / 2;
        $machine = new Fixture('Machine', $cell->tier->id, new Block($u, $u + $this->width->toDouble(), $cell->face - $this->depth->toDouble(), $cell->face, $site->floor(), $site->floor() + $this->height->toDouble()));
        $air = Working::start('width of its place', $cell->width->result)->minus('the machine', $this->width)->dividedBy('on either side', 2);
        $findings = $this->heat ? [Finding::note(Code::HeatClosedIn, 'A machine that gives off heat needs a way for air at its foot, behind it and over it; nothing closes it in front. The maker’s sheet goes first.', $cell->tier->id)] : [];
        if ($site->floor() > 1.0) {
            $findings[] = Finding::warning(Code::ApplianceTight, sprintf('The machine would stand %s over the floor: take the plinth away under it, or make sure that it carries it.', $site->terms->write($site->floor())), $cell->tier->id)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())]);
        }

        return new Assembly([], [], [], ['Air beside the machine' => $air], $findings, [], [$machine]);
    }
}

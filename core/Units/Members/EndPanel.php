<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Beside;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Pieces\Works\Sawn;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\ScribedOutline;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/** A panel at an end of a run that no wall closes: its back edge scribed to the wall behind, its top as that of the box beside it. */
#[About('end-panel', 'End panel', 'Closes the side of a run where no wall stands.', 'Boards', 'E')]
final readonly class EndPanel implements MemberUnit
{
    public function form(): MemberForm
    {
        return MemberForm::Beside;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->carcass->thickness, Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $panel = $site->place;
        if (! $panel instanceof Beside) {
            return new Assembly([]);
        }
        $edge = $site->scribed(Side::Back);
        $high = $panel->height->result->toDouble();
        $deep = $panel->depth->result->toDouble();
        $width = $edge?->scribe === null ? $panel->depth : $panel->depth->plus('overhang to scribe to the wall behind', $edge->scribe->blank());
        $works = $edge === null ? [] : [new Scribed('back, long', Side::Back)];
        $outline = $edge === null ? Outline::rectangle(0.0, 0.0, $high, $deep) : new Outline(ScribedOutline::of($edge->gap, $deep, 0.0, $high));
        if ($panel->slope !== []) {
            // Over the box's top: y goes from the face back.
            $above = array_map(fn (Point $point) => new Point($point->y, $panel->v + $deep - $point->x), $panel->slope);
            [$first, $last] = [$above[0], $above[count($above) - 1]];
            $outline = $outline->minus(new Polygon([...$above, new Point($high + 1.0, $last->y), new Point($high + 1.0, $first->y)]))[0] ?? $outline;
            $works[] = new Sawn('back of the top', $panel->angle, ' to the slope');
        }
        $piece = $site->make->covering('panel', 'End panel', $panel->height, $width, Purpose::Carcass, $edge === null && $panel->slope === [] ? null : $outline, $works, ['screwed from inside the box']);
        $placed = new Placed($piece, Pose::at($panel->u, $panel->v + $deep, $panel->z, Way::Up, Way::In, Way::Right), Part::Face, $panel->id);

        return new Assembly([$placed], [new Joint($panel->side, $piece->key, JointKind::Screws, 'end panels')]);
    }
}

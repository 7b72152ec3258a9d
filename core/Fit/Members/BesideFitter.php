<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;

/** Places what stands beside the outer box of a run, where no wall closes it. */
final readonly class BesideFitter
{
    /** A box this near to the end of the run ends there, mm. */
    private const LEVEL = 1.0;

    public function __construct(private Terms $terms)
    {
    }

    /**
     * @param  array<string, Member>  $atEnds  by the end of the run that they stand at
     * @param  list<Box>  $boxes
     * @param  array{float, float}  $ends
     * @return list<Beside>
     */
    public function atEnds(array $atEnds, array $boxes, array $ends, Marks $marks): array
    {
        $panels = [];
        foreach ($atEnds as $end => $member) {
            $beside = array_values(array_filter($boxes, fn (Box $box) => abs(($end === 'left' ? $box->u : $box->right()) - ($end === 'left' ? $ends[0] : $ends[1])) < self::LEVEL));
            if ($beside === []) {
                continue;
            }
            $highest = $beside[0];
            foreach ($beside as $box) {
                $highest = $box->highest() > $highest->highest() ? $box : $highest;
            }
            $u = $end === 'left' ? $highest->u : $highest->right();
            $top = $highest->topAt($u, $highest->face());
            $panels[] = new Beside(
                $member->holds,
                $member->id,
                $marks->of($member->letter(), $member->id),
                $end === 'left' ? $ends[0] - $this->terms->board() : $ends[1],
                $highest->v,
                0.0,
                Working::start('from the floor to the top of the box', Length::ofDouble($top))->roundedDown($this->terms->format),
                Working::start('depth of the box', $highest->outerDepth()),
                $highest->id.($end === 'left' ? ':side-L' : ':side-R'),
                $highest->top->isSloped() ? [new Point($highest->v, $highest->z + $highest->top->back), new Point($highest->v + $highest->top->breaks, $highest->highest())] : [],
                $highest->top->isSloped() ? $highest->top->angle(1.0) : 0.0,
            );
        }

        return $panels;
    }

    /**
     * Of those that there are, which stand nowhere.
     *
     * @param  list<Member>  $members
     * @param  list<Beside>  $panels
     * @return list<Finding>
     */
    public function nowhere(array $members, array $panels): array
    {
        $standing = array_map(fn (Beside $panel) => $panel->id, $panels);
        $findings = [];
        foreach ($members as $member) {
            if (! in_array($member->id, $standing, true)) {
                $findings[] = Finding::clash(Code::EndPanelNowhere, sprintf('The %s stands at an end of the run that no wall closes, beside a box. There is no such place.', $member->name()), $member->id)
                    ->withWaysOut([new WayOut("Take the {$member->name()} away", Edits::withoutMember($member->id))]);
            }
        }

        return $findings;
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/** A thin strip on a top that closes the wedge behind it: it laps on the top, and its back is scribed to the wall that leans or bows away. */
#[About('gap-cap', 'Cap behind a top', 'A thin strip over the gap between a top and the wall behind it.', 'Boards', 'Q')]
final readonly class GapCap implements MemberUnit
{
    /** A gap no wider is caulked, and one that is wider wants a deeper top; mm and inches. */
    private const CAULKED = [4.0, 5 / 32];

    private const DEEPER = [120.0, 4.75];

    /** Over a wider gap blocks carry it behind, no farther apart; mm and inches. */
    private const CARRIED = [40.0, 1.5];

    private const APART = [600.0, 24.0];

    private const BLOCK = [60.0, 2.375];

    /** Two brads are no farther apart, mm and inches. */
    private const BRADS = [200.0, 8.0];

    public function __construct(
        #[Size('Lies on the top', ['20', '3/4'], 10, 60)] public Length $lap,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->for(Purpose::Lining)->thickness, Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $over = $site->place;
        if (! $over instanceof Over) {
            return new Assembly([]);
        }
        $terms = $site->terms;
        $id = $over->memberId();
        $gap = $site->scribed(Side::Back)?->gap;
        if ($gap === null || ! $over->meetsBack || $gap->most <= $terms->rules->either(...self::CAULKED)->toDouble()) {
            return new Assembly([], findings: [Finding::note(Code::Caution, sprintf('Behind %s there is no gap that a strip would close: up to %s is caulked.', $over->mark, $terms->format->write($terms->rules->either(...self::CAULKED))), $id)]);
        }
        $site = $site->madeOf(Purpose::Top, $terms->materials->for(Purpose::Lining)->id);
        $strip = new Over($over->holds, $over->id, $over->mark, $over->u, $over->v, $over->z, $over->top, $over->length, Working::start('lies on the top', $this->lap), $over->meetsLeft, $over->meetsRight, $over->meetsBack, $over->carriers);
        $cap = (new ScribedTop($site, $strip))->board('cap', 'Gap cap', Finish::Eased);
        $blocks = $gap->most > $terms->rules->either(...self::CARRIED)->toDouble() ? $this->blocks($site, $over, $gap->least) : [];
        $long = $cap->piece->length->result->toDouble();
        $brad = $cap->piece->thickness->plus($terms->rules->either(25, 1))->roundedUp($terms->format->step);
        $deepest = $terms->rules->either(...self::DEEPER);
        $findings = $gap->most <= $deepest->toDouble() ? [] : [Finding::warning(Code::LedgeUseless, sprintf('The gap behind %s is up to %s wide: a deeper top would use it.', $over->mark, $terms->write($gap->most)), $id)->withWaysOut([new WayOut('Take the cap away', Edits::withoutMember($id))])];

        return new Assembly(
            [$cap, ...$blocks],
            [...array_map(fn (string $top) => new Joint($cap->piece->key, $top, JointKind::Nails, 'caps'), $over->carriers), ...array_map(fn (Placed $block) => new Joint($cap->piece->key, $block->piece->key, JointKind::Nails, 'caps'), $blocks)],
            [new Hardware('brad '.$terms->format->write($brad), 1 + (int) ceil($long / $terms->rules->either(...self::BRADS)->toDouble()), 'caps', ArticleKind::Brad, $brad)],
            [],
            $findings,
        );
    }

    /** @return list<Placed> behind the boxes, under the cap, as deep as the gap is everywhere */
    private function blocks(MemberSite $site, Over $over, float $gap): array
    {
        $rules = $site->terms->rules;
        $long = $over->length->result->toDouble();
        $own = $rules->either(...self::BLOCK)->toDouble();
        $deep = Working::start('the gap at its narrowest', Length::ofDouble($gap))->roundedDown($site->terms->format);
        $n = (int) ceil($long / $rules->either(...self::APART)->toDouble()) + 1;
        if ($deep->result->toDouble() < 10.0 || $long < 2 * $own) {
            return [];
        }

        return array_map(function (int $i) use ($site, $over, $deep, $n, $long, $own): Placed {
            $piece = $site->make->inner("block-$i", 'Support block', Working::start('length of a block', Length::ofDouble($own)), $deep, Purpose::Framing, Grain::Length, [], ['glued and screwed to the back of the box']);

            return new Placed($piece, Pose::at($over->u + ($i - 1) * ($long - $own) / ($n - 1), $over->v, $over->z - $piece->thickness->toDouble(), Way::Right, Way::In, Way::Up), Part::Cleat, $over->id);
        }, range(1, $n));
    }
}

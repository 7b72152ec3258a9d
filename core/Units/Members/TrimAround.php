<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\RunsAround;
use Incastro\Fit\Members\Around;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Make\Trim\TrimCorner;
use Incastro\Units\Make\Trim\TrimStrip;
use Incastro\Units\MemberUnit;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;
use Incastro\Units\TrimEdge;
use Incastro\Units\TrimEnd;
use Incastro\Units\TrimSpring;

/**
 * The skirting of the room, or a cornice, led round furniture: mitred at its outer corners, at a free end back to the wall and coped over
 * what runs along that. A blank is as long as what it lies on and th · tan(τ/2) more for each outer corner, τ the turn of its way.
 */
#[About('trim-around', 'Skirting or cornice round it', 'A strip round what stands there, mitred at its corners, back to the wall at free ends.', 'Boards', 'I')]
final readonly class TrimAround implements MemberUnit, RunsAround
{
    /** At an outer corner the strips meet round three quarters of a turn, as they are seen. */
    private const OUTER = 270.0;

    /** A skirting over an open foot is nailed to at least so much of the boards over it, mm and inches. */
    private const NAILED = [12.0, 0.5];

    /** A floor that falls by more under a skirting shows, mm and inches. */
    private const FALL = [3.0, 0.125];

    public function __construct(
        #[Choice('Runs', TrimEdge::Foot)] public TrimEdge $edge,
        #[Size('Width of the strip', ['145', '5 1/2'], 15, 300, 'Where it is bought by length, that is its own.')] public Length $width,
        #[Toggle('Leans out as a crown does', false)]
        #[When('edge', TrimEdge::Head)]
        public bool $isCrown,
        #[Choice('Leans', TrimSpring::Steep)]
        #[When('isCrown', true)]
        public TrimSpring $spring,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Around;
    }

    public function isAtHead(): bool
    {
        return $this->edge === TrimEdge::Head;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->for(Purpose::Trim)->thickness, Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $place = $site->place;
        if (! $place instanceof Around) {
            return new Assembly([]);
        }
        $isFoot = $this->edge === TrimEdge::Foot;
        $wide = TrimStrip::wide($site->terms->materials, $this->width);
        $strip = new TrimStrip($site->make, $site->terms, $isFoot ? 'Skirting round furniture' : 'Cornice', $wide, $this->isCrown && ! $isFoot ? (float) $this->spring->value : 0.0);
        $refused = $this->refused($site, $place, $strip);
        if ($refused !== null) {
            return new Assembly([], findings: [$refused]);
        }
        $z = $isFoot ? 0.0 : $place->head - $strip->high();
        $placed = $this->strips($site, $place, $strip, $z);
        $nails = array_sum(array_map(fn (Placed $one) => $one->piece->length->result->toDouble(), $placed));

        return new Assembly($placed, [], [$strip->nails($nails)], findings: $isFoot ? $this->falls($site, $place) : []);
    }

    /** @return list<Placed> along the faces, and at each free end back to the wall */
    private function strips(MemberSite $site, Around $place, TrimStrip $strip, float $z): array
    {
        $outer = new TrimCorner(TrimEnd::Mitred, self::OUTER);
        $square = new TrimCorner(TrimEnd::Square);
        $coped = new TrimCorner(TrimEnd::Coped);
        [$left, $right] = [$this->behind($site, $place->left), $this->behind($site, $place->right)];
        $id = $place->id;
        $placed = $strip->build('front', 0.0, $place->length->result->toDouble(), $left === null ? $square : $outer, $right === null ? $square : $outer, new Vector($place->u, $place->face, $z), Way::Right->vector(), Way::Out->vector(), $id);
        $sides = [
            ...$left === null ? [] : $strip->build('side-L', 0.0, $place->face - $left, $coped, $outer, new Vector($place->u, $left, $z), Way::Out->vector(), Way::Left->vector(), $id),
            ...$right === null ? [] : $strip->build('side-R', 0.0, $place->face - $right, $outer, $coped, new Vector($place->end(), $place->face, $z), Way::In->vector(), Way::Right->vector(), $id),
        ];

        return [...$placed, ...$sides];
    }

    /** Where it ends behind: it is coped over a strip as thick as it is, or a skirting that stays. */
    private function behind(MemberSite $site, ?float $at): ?float
    {
        return $at === null || $this->edge === TrimEdge::Head || ! $site->terms->rules->skirtingStays ? $at : max($at, $site->run->frame->skirtingThickness() - $site->terms->materials->for(Purpose::Trim)->thickness->toDouble());
    }

    private function refused(MemberSite $site, Around $place, TrimStrip $strip): ?Finding
    {
        $terms = $site->terms;
        $away = new WayOut('Take it away', Edits::withoutMember($place->memberId()));
        $least = TrimStrip::shortest($terms->materials, $terms->rules);
        $pieces = array_filter([[$place->length->result->toDouble(), 'in front'], [$place->left === null ? INF : $place->face - $place->left, 'at the left'], [$place->right === null ? INF : $place->face - $place->right, 'at the right']], fn (array $one) => $one[0] < $least->toDouble());
        if ($pieces !== []) {
            [$long, $where] = array_values($pieces)[0];

            return Finding::clash(Code::PieceShort, sprintf('The strip of %s %s is %s long: it cannot be held at the saw, which needs %s.', $place->mark, $where, $terms->write(max(0.0, $long)), $terms->format->write($least)), $place->id)->withWaysOut([$away]);
        }
        if ($this->edge === TrimEdge::Head) {
            return $strip->high() <= $place->head - $place->foot ? null : Finding::clash(Code::TooSmall, sprintf('%s is %s high; what it runs round is %s.', $place->mark, $terms->write($strip->high()), $terms->write($place->head - $place->foot)), $place->id)->withWaysOut([$away]);
        }
        $needs = Length::ofDouble($place->foot)->plus($terms->rules->either(...self::NAILED))->roundedUp($terms->format->step);
        if ($strip->high() >= $needs->toDouble() - 1e-6 || $place->foot < 1e-6) {
            return null;
        }
        $canWiden = ! $terms->materials->for(Purpose::Trim) instanceof Lineal && $needs->toDouble() <= 300.0;
        $wider = $canWiden ? [new WayOut('Make it '.$terms->format->write($needs), Edits::member($place->memberId())->measuring('with.width', $needs))] : [];

        return Finding::clash(Code::TooSmall, sprintf('What stands at %s begins %s over the floor: a skirting of %s has nothing to be nailed to; it needs %s.', $place->mark, $terms->write($place->foot), $terms->format->write($this->width), $terms->format->write($needs)), $place->id)->withWaysOut([...$wider, $away]);
    }

    /** @return list<Finding> where the floor falls away under it */
    private function falls(MemberSite $site, Around $place): array
    {
        $frame = $site->run->frame;
        $ends = [[$place->u, $place->face], [$place->end(), $place->face], ...$place->left === null ? [] : [[$place->u, $place->left]], ...$place->right === null ? [] : [[$place->end(), $place->right]]];
        $fall = max(0.0, ...array_map(fn (array $at) => -$frame->floorAt(...$at), $ends));

        return $fall <= $site->terms->rules->either(...self::FALL)->toDouble() ? [] : [
            Finding::note(Code::FootGap, sprintf('The floor falls by %s under %s: scribe its foot to the floor and let it down by so much, or cover the gap with a shoe moulding.', $site->terms->write($fall), $place->mark), $place->id),
        ];
    }
}

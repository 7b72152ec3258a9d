<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\StandsBought;
use Incastro\Fit\Holds\StandsForward;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\AirHoles;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Bed\Lying;
use Incastro\Units\Make\Bed\MattressFiller;
use Incastro\Units\Make\Bed\MattressRoom;
use Incastro\Units\Make\Bed\RowDeck;
use Incastro\Units\Make\BoxesUnder;
use Incastro\Units\Mattress;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * The deck of a bed over boxes: sheets that meet where two boxes do, with holes through which the mattress breathes, and a board before
 * them that holds it.
 */
#[About('bed-deck', 'Bed over boxes', 'A deck for a mattress over what stands under it.', 'To sleep', 'L')]
final readonly class BedDeck implements MemberUnit
{
    /** Play at the walls and between panels, mm and inches. */
    private const PLAY = [3.0, 1 / 8];

    private const HOLE = [30.0, 1.25];

    private const HOLES_APART = [200.0, 8.0];

    public function __construct(
        #[Choice('Mattress', Mattress::Typed)] public Mattress $mattress,
        #[Size('Its length', ['2000', '80'], 500, 2300)]
        #[When('mattress', Mattress::Typed)]
        public Length $length,
        #[Size('Its width', ['900', '38'], 300, 2100)]
        #[When('mattress', Mattress::Typed)]
        public Length $width,
        #[Size('Its thickness', ['180', '8'], 60, 350)] public Length $thickness,
        #[Size('Play round it', ['20', '3/4'], 0, 80, 'To tuck in by hand at a wall: 40 mm or 1 1/2 in.')] public Length $play,
        #[Toggle('Lies across, from the wall out', false)] public bool $across,
        #[Size('Front board stands over the deck', ['30', '1'], 0, 80)] public Length $lip,
        #[Toggle('Air holes', true, 'On a closed deck a mattress gets damp.')] public bool $holes,
        #[Toggle('Boards fill the gap beside the mattress', false, 'Where it is wide enough to hold a child’s head.')] public bool $filler,
        #[Toggle('On rails over bought cabinets', false, 'They carry it on their sides: the middle of a bought top bears nobody.')] public bool $rails,
        #[Made('Made of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        $thick = $materials->using(Purpose::Top, $this->made)->for(Purpose::Top)->thickness;

        return new MemberDemand($this->rails ? $thick->plus($materials->for(Purpose::Rail)->thickness) : $thick, $materials->for(Purpose::Front)->thickness, isInParts: true, reachesWalls: true);
    }

    public function build(MemberSite $site): Assembly
    {
        $top = $site->place;
        if (! $top instanceof Over) {
            return new Assembly([]);
        }
        $site = $site->madeOf(Purpose::Top, $this->made);
        $terms = $site->terms;
        $sheet = $terms->materials->for(Purpose::Top);
        $front = $terms->materials->for(Purpose::Front)->thickness;
        $under = new BoxesUnder($site, $top);
        $boxes = $under->boxes;
        $play = $terms->rules->either(...self::PLAY);
        $holes = $this->holes ? [new AirHoles($terms->rules->either(...self::HOLE), $terms->rules->either(...self::HOLES_APART))] : [];
        $row = $boxes !== [] && ($this->rails || RowDeck::bridges($top, $boxes)) ? new RowDeck($site, $top, $boxes, $this->rails, $play, $holes) : null;
        if ($row?->isCarried() === false) {
            return new Assembly([], findings: [$this->hangs($top, $boxes)]);
        }
        $cuts = $this->cuts($site, $top, $boxes);
        $deck = $row?->build() ?? $this->panels($site, $top, $boxes, $cuts, $play, $holes);
        $rail = $terms->materials->for(Purpose::Rail)->thickness;
        $high = ($this->rails ? Working::start('rail', $rail)->plus('deck', $sheet->thickness) : Working::start('deck', $sheet->thickness))->plus('stands over it', $this->lip);
        $boards = [];
        // In one piece where one is long enough, else they meet where the deck does.
        foreach ($top->length->result->isGreaterThan($terms->rules->get(Rule::LongestPiece)) ? $cuts : [[$top->u, $top->end()]] as $i => [$from, $to]) {
            $role = 'front-board'.($i === 0 ? '' : '-'.($i + 1));
            $piece = $site->make->inner($role, 'Front board', Working::start('before its deck', Length::ofDouble($to - $from)), $high, Purpose::Front, Grain::Length, [new Finished('upper, long', Finish::Banded)], ['screwed to the edge of the deck']);
            $boards[] = new Placed($piece, Pose::at($from, $top->front() - $front->toDouble(), $top->z, Way::Right, Way::Up, Way::Out), Part::Face, $top->id);
        }
        $lying = $this->lying($site, $top, $sheet->thickness->toDouble() + ($this->rails ? $rail->toDouble() : 0.0), $front->toDouble());
        $filler = $this->filler ? new MattressFiller($lying, $site->make, $sheet->thickness->toDouble()) : null;
        $lying = $filler?->left() ?? $lying;
        $on = array_values(array_filter($site->run->boxes, fn (Box $box) => $box->z > $top->z - 1.0 && $box->z < $lying->top() && $box->u < $top->end() && $box->right() > $top->u));
        $mattress = $on === [] ? Assembly::all($filler?->build() ?? new Assembly([]), new Assembly([], findings: (new MattressRoom($lying))->findings(), fixtures: [$lying->fixture()]))
            : new Assembly([], findings: [Finding::clash(Code::MattressJams, sprintf('Box %s stands on the deck, where the mattress lies.', $on[0]->mark), $top->id)->about([$on[0]->id])->withWaysOut([new WayOut('Leave an open gap there', Edits::tier($on[0]->id)->emptied()), $lying->away])]);

        return Assembly::all($deck, new Assembly($boards, findings: [...$this->strong($site, $top, $under, $row), ...$this->closed($top), ...$this->bought($top, $boxes)]), $mattress);
    }

    /**
     * Sheets that meet where boxes do, along the run.
     *
     * @param  list<Box>  $boxes
     * @param  list<array{float, float}>  $cuts
     * @param  list<AirHoles>  $holes
     */
    private function panels(MemberSite $site, Over $top, array $boxes, array $cuts, Length $play, array $holes): Assembly
    {
        $terms = $site->terms;
        $deep = Working::start('from the wall behind to its front', $top->depth->result)->minus('front board', $terms->materials->for(Purpose::Front)->thickness)->minusTimes('play', 2, $play);
        $panels = $joints = [];
        foreach ($cuts as $i => [$from, $to]) {
            $piece = $site->make->inner('panel-'.($i + 1), 'Deck', Working::start('over its boxes', Length::ofDouble($to - $from)), $deep, Purpose::Top, Grain::Length, $holes, ['screwed down to the boxes']);
            $panels[] = new Placed($piece, Pose::at($from, $top->v + $play->toDouble(), $top->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $top->id);
            foreach ($boxes as $box) {
                if ($box->u < $to - 1.0 && $box->right() > $from + 1.0) {
                    $joints[] = new Joint($piece->key, $box->id.':top', JointKind::Screws, 'decks of beds');
                }
            }
        }

        return new Assembly($panels, $joints);
    }

    private function lying(MemberSite $site, Over $top, float $thick, float $front): Lying
    {
        [$wide, $long] = $this->mattress->size() ?? [$this->width, $this->length];
        [$u, $v] = $this->across ? [$wide, $long] : [$long, $wide];
        $id = $top->memberId();

        return new Lying($site->run, $site->terms, $top->id, Edits::member($id), $top->u, $top->length->result->toDouble(), $top->v, $top->depth->result->toDouble() - $front, $top->front(), $top->z + $thick, $u, $v, $this->thickness, $this->play, $this->across, new WayOut('Take the bed away', Edits::withoutMember($id)));
    }

    /**
     * From where to where each panel goes: they meet in the middle of where two boxes do, and none is too wide to be lifted.
     *
     * @param  list<Box>  $boxes  from the left
     * @return list<array{float, float}>
     */
    private function cuts(MemberSite $site, Over $top, array $boxes): array
    {
        $play = $site->terms->rules->either(...self::PLAY)->toDouble();
        $widest = $site->terms->rules->either(...RowDeck::WIDEST)->toDouble();
        $cuts = [];
        $from = $top->u + $play;
        foreach ($boxes as $i => $box) {
            $next = $boxes[$i + 1] ?? null;
            if ($next !== null && $next->right() - $from > $widest) {
                $middle = ($box->right() + $next->u) / 2;
                $cuts[] = [$from, $middle - $play / 2];
                $from = $middle + $play / 2;
            }
        }

        return [...$cuts, [$from, $top->end() - $play]];
    }

    /**
     * A person in one place, and all that lies on the bed, from side to side of the widest box, or behind a row of them.
     *
     * @return list<Finding>
     */
    private function strong(MemberSite $site, Over $top, BoxesUnder $under, ?RowDeck $row): array
    {
        $sheet = $site->terms->materials->for(Purpose::Top);
        $wood = $sheet->wood?->strength();
        if ($wood === null || $under->boxes === []) {
            return [];
        }
        $span = $row?->span() ?? $under->span();
        [$wide, $long] = $this->mattress->size() ?? [$this->width, $this->length];
        $deck = new Deck($top->depth->result->toDouble(), $sheet->thickness->toDouble(), $span, $wood->along, $wood->bendingAlong, Loads::newtons(Loads::PERSON), Loads::SITS_ON, Loads::newtons(Loads::BED) / ($wide->toDouble() * $long->toDouble()));
        if ($deck->holds()) {
            return [];
        }
        $fine = fn (float $mm): string => $site->terms->format->finest()->write(Length::ofDouble($mm));

        return [Finding::warning(Code::Sags, sprintf('Over %s the deck bends %s under one person; %s is the most. Put a board under its middle, or divide the bay. Guidance for furniture, not for the house.', $site->terms->write($span), $fine($deck->sag()), $fine($deck->limit())), $top->id)->withWaysOut($under->thicker($deck, fn (Deck $thicker) => $thicker->holds()))];
    }

    /** @param list<Box> $boxes */
    private function hangs(Over $top, array $boxes): Finding
    {
        $forward = array_values(array_filter($boxes, fn (Box $box) => $box->has(StandsForward::class)));
        $back = count($forward) === 1 ? [new WayOut("Let box {$forward[0]->mark} stand at the wall", Edits::withoutOption($forward[0]->optionId(StandsForward::class)))] : [];

        return Finding::clash(Code::DeckHangs, 'The boxes under it do not stand alike: behind those at the front nothing carries it. Let all of them stand at the front of the run, with a wall behind that is level with the deck, or none.', $top->id)
            ->about(array_map(fn (Box $box) => $box->id, $forward))
            ->withWaysOut([...$back, new WayOut('Take the bed away', Edits::withoutMember($top->memberId()))]);
    }

    /**
     * @param  list<Box>  $boxes
     * @return list<Finding>
     */
    private function bought(Over $top, array $boxes): array
    {
        $bought = array_values(array_filter($boxes, fn (Box $box) => $box->has(StandsBought::class)));

        return $this->rails || $bought === [] ? [] : [Finding::clash(Code::DeckOnBought, 'Bought cabinets carry a bed on their sides, never on the middle of a top. Lay rails over them.', $top->id)
            ->about(array_map(fn (Box $box) => $box->id, $bought))
            ->withWaysOut([new WayOut('Lay rails over them', Edits::member($top->memberId())->setting(['rails' => true]))])];
    }

    /** @return list<Finding> */
    private function closed(Over $top): array
    {
        return $this->holes ? [] : [Finding::warning(Code::DeckNoAir, 'The mattress lies on a closed board and will get damp.', $top->id)
            ->withWaysOut([new WayOut('Bore air holes', Edits::member($top->memberId())->setting(['holes' => true]))])];
    }
}

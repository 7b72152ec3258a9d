<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BodyForm;
use Incastro\Units\Contents;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\InsideUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Make\Packers;
use Incastro\Units\Make\PullOutBody;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Make\Slides;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\PullOutRun;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Sites\OpeningSite;

/**
 * One deep body on slides with a front as large as its opening, under a rake too: its upper edge keeps below that of the face opening,
 * through which it passes, by what slides sag. Slides are as strong as it is heavy with what is in it.
 */
#[About('pull-out', 'Pull-out', 'A deep body that is drawn out whole, under a slope too.', 'Storage')]
final readonly class PullOut implements InsideUnit
{
    /** A body lower than this at its low side holds nothing, mm. */
    private const LOWEST = 250.0;

    /** A head that rises by less than this for each mm outwards is level. */
    private const LEVEL = 0.02;

    /** On castors: how high these are, its front over the floor, play beside it, battens that keep it straight, and the least depth; mm and inches. */
    private const CASTOR = [65.0, 2 + 9 / 16];

    private const OFF_FLOOR = [12.0, 1 / 2];

    private const BESIDE = [3.0, 1 / 8];

    private const GUIDE = [20.0, 3 / 4];

    private const SHALLOW = [260.0, 10.25];

    private const ON_FLOOR = 1.0;

    private const CASTORS = 4;

    private const BEAR = 3;

    /** A hand gets into an opening so high, mm. */
    private const HAND = 100;

    /** One higher than this at its low side, or so much higher than it is wide, has a second pair of slides. */
    private const TWO_PAIRS = 900.0;

    private const SLENDER = 4.0;

    public function __construct(
        #[Choice('Built as', BodyForm::Case)] public BodyForm $form,
        #[Choice('Open at the', Hand::Either)]
        #[When('form', BodyForm::Case)]
        public Hand $opens,
        #[Count('Shelves', 2, 0, 8)]
        #[Unless('form', BodyForm::Bin)]
        public int $shelves,
        #[Choice('Filled with', Contents::Cleaning)] public Contents $use,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Choice('Front closes', Mount::Inset, without: [Mount::Lipped])] public Mount $mount,
        #[Size('Height of its sills', ['120', '4 3/4'], 80, 250, 'Low sides that carry the slides.')]
        #[Unless('form', BodyForm::Bin)]
        public Length $sill,
        #[Size('Guard rails over shelves', ['60', '2 3/8'], 40, 150)]
        #[Unless('form', BodyForm::Bin)]
        public Length $guard,
        #[Size('Air under it', ['12', '1/2'], 4, 40)] public Length $below,
        #[Toggle('With a front of its own', true, 'Without, it stands behind a door.')] public bool $front = true,
        #[Choice('Runs on', PullOutRun::Slides)] public PullOutRun $run = PullOutRun::Slides,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        [$frame, $rails] = FaceFrame::takes($rules, $materials);

        return new OpeningDemand(
            Extent::between($rules->either(130, 5.125)->plus($frame), $rules->either(900, 36)->plus($frame), 'a pull-out between stiles needs %s'),
            Extent::atLeast($rules->either(272, 10.875)->plus($rails), 'a pull-out needs %s'),
            Extent::atLeast($rules->either(310, 12.25), 'its slides need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        if ($site->opening->front !== null && $this->front) {
            return new Assembly([], findings: [Finding::clash(Code::FrontTwice, 'A pull-out has a front of its own; nothing else closes its opening.', $site->opening->tierId)->withWaysOut([new WayOut('Leave its own front out', Edits::tier($site->opening->tierId)->setting(['front' => false])), ...$site->unclosed('Take what is before it away'), $site->emptied()])]);
        }
        $site = $this->front ? $site : $site->pastLeaf();
        if ($this->run === PullOutRun::Castor) {
            return $site->isOpenBelow() && $site->box->z < self::ON_FLOOR ? $this->on($site, null) ?? new Assembly([]) : new Assembly([], findings: [$this->needsFloor($site)]);
        }
        // How thick its slides are hangs on its weight, and that on what they leave: from the lightest up.
        foreach (Slides::cases() as $class) {
            $built = $this->on($site, $class);
            if ($built !== null) {
                return $built;
            }
        }

        return new Assembly([], findings: [Finding::clash(Code::SlidesWeak, sprintf('So large and filled with %s it is heavier than the strongest slides carry. Divide the bay, or make it lower.', lcfirst($this->use->label())), $site->opening->tierId)->withWaysOut([...($site->isOpenBelow() ? [new WayOut('Roll it on castors', Edits::tier($site->opening->tierId)->setting(['run' => PullOutRun::Castor->value]))] : []), ...($this->use === Contents::Cleaning ? [] : [new WayOut('Fill it with brooms and buckets', Edits::tier($site->opening->tierId)->setting(['use' => Contents::Cleaning->value]))]), $site->emptied()])]);
    }

    private function needsFloor(OpeningSite $site): Finding
    {
        $tier = $site->opening->tierId;

        return Finding::clash(Code::CastorNeedsFloor, 'A pull-out on castors rolls on the floor: its box has no bottom and stands on no plinth.', $tier)
            ->withWaysOut([new WayOut('Run it on slides', Edits::tier($tier)->setting(['run' => PullOutRun::Slides->value])), new WayOut('Leave the bottom out', new Edit('layout.do', ['action' => 'add', 'kind' => 'no-bottom', 'cells' => [$tier], 'seed' => "no bottom under $tier"])), $site->emptied()]);
    }

    /** On slides of one class, or on castors where there is none; null where slides do not carry it. */
    private function on(OpeningSite $site, ?Slides $class): ?Assembly
    {
        $terms = $site->terms;
        $leaf = $terms->materials->for(Purpose::Front)->thickness;
        $deep = match (true) {
            ! $this->front => Working::start('clear of what closes it', Length::ofDouble($site->front())),
            $this->mount === Mount::Inset => $site->depth()->minus('its front', $leaf),
            default => $site->depth(),
        };
        $free = $deep
            ->minus('a nailer behind', Length::ofDouble($site->nailerBetween(0.0, $site->height()->result->toDouble())))
            ->minus('free behind a slide', $terms->rules->get(Rule::SlideEnd));
        $shortest = $class === null ? $terms->rules->either(...self::SHALLOW) : $terms->materials->lengths($class->kind(), $terms->rules->unit)[0];
        $rolled = $free->result->isLessThan($shortest) ? null : $free->result->roundedDown($terms->format->step);
        $slide = $class === null ? $rolled : $class->longest($terms->materials, $terms->rules->unit, $free->result);
        if ($slide === null) {

            return new Assembly([], findings: [Slides::noneFits($site, $free->result, $shortest)]);
        }
        $width = ($class === null
            ? $site->between()->minusTimes('play beside it', 2, $terms->rules->either(...self::BESIDE))
            : $site->between()->minusTimes('two slides', 2, $class->thickness($terms->rules))->minus('play of the slides', $terms->rules->get(Rule::SlidePlay)))->roundedDown($terms->format->fine());
        [$left, , $foot] = $site->frame();
        $x = $left + ($site->between()->result->toDouble() - $width->result->toDouble()) / 2;
        $z = $foot + ($class === null ? $terms->rules->either(...self::CASTOR) : $this->below)->toDouble();
        $y1 = $this->front ? $site->edges()->front($this->mount, $leaf->toDouble()) : $site->front();
        $behind = $y1 - $slide->toDouble();
        $body = $this->body($site, $width, $slide, $x, $z, $behind);
        if ($body === null) {
            return new Assembly([], findings: [$this->tooLow($site, $this->low($site, $x, $width->result->toDouble(), $z, $behind))]);
        }
        if ($body->spacing()?->result->isLessThan(Length::ofMillimetres(self::HAND)) === true) {
            return new Assembly([], findings: [$this->tooClose($site, $body)]);
        }
        $built = $body->build($x, $y1 - $slide->toDouble(), $z);
        $maker = new Leaf($site, $this->mount, under: $class === null ? $terms->rules->either(...self::OFF_FLOOR)->toDouble() : 0.0);
        $across = $maker->width(1);
        $front = $this->front ? $maker->made('pull-out-face', 'Pull-out front', $across, $maker->starts(1, $across)[0], ['screwed to the front end']) : null;
        $own = array_sum(array_map(fn (Placed $placed) => $placed->piece->weight(), $built->placed)) + ($front?->weight() ?? 0.0);
        $filled = $this->use->density() * $body->wide() * $slide->toDouble() * ($body->slope > 0.0 ? $body->low->result->toDouble() + $body->front() : $body->high(0.0) + $body->high($body->wide())) / 2 / 1e9;
        $pairs = count($body->lines());
        if ($class !== null && $class->value < Slides::SPARE * ($own + $filled) / $pairs) {
            return null;
        }
        $joints = $front === null ? [] : [new Joint($built->placed[1]->piece->key, $front->edge(Hand::Left), JointKind::Screws, 'drawer fronts')];
        $packed = [];
        [$boardL, $boardR] = $site->beside();
        foreach ($class === null ? [] : $body->lines() as $i => $line) {
            $packed[] = $packers = (new Packers($site, 100))->build('pull-out'.($i === 0 ? '' : '-'.($i + 1)), $slide, $y1, $z + $line);
            $at = [$site->at(0.0, 0.0, $z + $line)->z];
            $joints[] = new Joint($body->carrier($built, Hand::Left, $i > 0), Packers::carrier($packers, 'L', $boardL), JointKind::Slide, 'drawers', at: $at);
            $joints[] = new Joint($body->carrier($built, Hand::Right, $i > 0), Packers::carrier($packers, 'R', $boardR), JointKind::Slide, 'drawers', at: $at);
        }
        $hardware = [
            $class === null ? new Hardware(sprintf('fixed castor %s high, %.0f kg', $terms->format->write($terms->rules->either(...self::CASTOR)), ceil(($own + $filled) / self::BEAR)), self::CASTORS, 'drawers', ArticleKind::Castor)
            : new Hardware(sprintf('pair of %s %s, %d kg', $class->kind() === ArticleKind::Slides ? 'drawer slides' : 'heavy slides', $terms->format->write($slide), $class->value), $pairs, 'drawers', $class->kind(), $slide, (float) $class->value),
            ...($front === null ? [] : $this->pull->bought(1, 'drawer fronts')),
        ];
        $moving = [$built->placed[0]->piece->key, ...array_map(fn (Placed $placed) => $placed->piece->key, $built->placed), ...($front?->keys() ?? [])];
        $movement = $this->movement($site, $body, $front, $moving, $x, $y1, $z, $slide->toDouble(), $maker->foot(), $maker->starts(1, $across)[0]);

        $place = new PullPlace($terms, $this->pull);
        $face = $front === null ? new Assembly([]) : $front->assembly->placing(array_map(fn (Placed $one): Placed => $place->onPullOut($one, max($front->heights)), $front->assembly->placed), $front->assembly->joints);

        return Assembly::all($built, $face, new Assembly($class === null ? $this->guides($site, $slide, $y1) : [], $joints, $hardware, [], [], [$movement]), ...$packed);
    }

    /**
     * Battens on the floor under it, outside its castors.
     *
     * @return list<Placed>
     */
    private function guides(OpeningSite $site, Length $deep, float $y1): array
    {
        [$left, $right] = $site->frame();
        $square = Working::start('guide batten', $site->terms->rules->either(...self::GUIDE));
        $placed = [];
        foreach (['L' => $left, 'R' => $site->width()->result->toDouble() - $right - $square->result->toDouble()] as $hand => $x) {
            $piece = $site->make->inner("pull-out-batten-$hand", 'Guide', Working::start('depth of the body', $deep), $square, Purpose::Framing, Grain::Length, [], ['screwed to the floor'], null, $site->mark("pull-out-batten-$hand"));
            $placed[] = $site->placed($piece, $x, $y1 - $deep->toDouble(), 0.0, Way::Out, Way::Right, Way::Up, Part::Cleat);
        }

        return $placed;
    }

    /** As high as its opening leaves it at its low side; null where that is too low. */
    private function body(OpeningSite $site, Working $width, Length $slide, float $x, float $z, float $behind): ?PullOutBody
    {
        $wide = $width->result->toDouble();
        $rise = ($site->upper($x + 1.0) - $site->upper($x));
        $rise = abs($rise) < 1e-9 ? 0.0 : $rise;
        $low = Working::start('height of its opening there', Length::ofDouble($this->low($site, $x, $wide, $z, $behind) + $site->terms->rule(Rule::RakePlay)))
            ->minus('air over it', $site->terms->rules->get(Rule::RakePlay))
            ->roundedDown($site->terms->format->fine());
        $high = $low->result->toDouble();
        if ($high < self::LOWEST || $wide < 60.0) {
            return null;
        }
        $opens = $this->opens !== Hand::Either ? $this->opens : ($rise >= 0.0 ? Hand::Right : Hand::Left);
        $hasTwoPairs = $high > self::TWO_PAIRS || $high + abs($rise) * $wide > self::SLENDER * $wide;

        // Under a ceiling that falls to the wall it rises outwards as far as its opening lets it through.
        $through = min($site->upper($x), $site->upper($x + $wide)) - $site->terms->rule(Rule::RakePlay) - $z;
        $slope = is_infinite($site->under()) ? 0.0 : min(max(0.0, $through - $high), $site->under($behind + $slide->toDouble()) - $site->under($behind)) / $slide->toDouble();
        $slope = $slope > self::LEVEL ? $slope : 0.0;

        return new PullOutBody($site, $this->form, $opens, $width, $low, $rise, $slide, $this->form === BodyForm::Bin ? 0 : $this->shelves, $this->sill, $this->guard, $hasTwoPairs, $slope);
    }

    /** What its opening, and what is over it farther in, leave it at its low side; mm. */
    private function low(OpeningSite $site, float $x, float $wide, float $z, float $behind): float
    {
        return min($site->upper($x), $site->upper($x + $wide), $site->under(max(0.0, $behind))) - $site->terms->rule(Rule::RakePlay) - $z;
    }

    /** @param non-empty-list<string> $moving */
    private function movement(OpeningSite $site, PullOutBody $body, ?MadeLeaf $front, array $moving, float $x, float $y1, float $z, float $travel, float $foot, float $inset): Movement
    {
        $drawn = fn (float $x, float $y, float $z, float $left, float $right, float $wide, float $deep): Solid => new Solid([Convex::plate(Polygon::raked($left, $right, $wide)->points, $deep, new Pose($site->at($x, $y, $z), Way::Up->vector(), Way::Right->vector(), Way::Out->vector()))]);
        $leaf = $site->terms->materials->for(Purpose::Front)->thickness->toDouble();
        $swept = [
            $body->slope > 0.0 ? $this->alongSlope($site, $body, $x, $y1, $z, $travel) : $drawn($x, $y1 - $travel, $z, $body->high(0.0), $body->high($body->wide()), $body->wide(), 2 * $travel),
            ...($front === null ? [] : [$drawn($inset, $y1, $foot, $front->heights[0], $front->heights[1], $front->wide(), $leaf + $travel + $site->terms->rule(Rule::PullProjection))]),
        ];
        $above = array_map(fn (Solid $solid) => $solid->bounds->footprint(), $swept);

        return new Movement(sprintf('Pull-out of %s', $site->name()), $site->opening->tierId, $moving, $swept, $above, Motion::slide(Way::Out->vector(), $travel), $travel);
    }

    /** What a body sweeps whose head rises outwards: as high as its front before where that stands. */
    private function alongSlope(OpeningSite $site, PullOutBody $body, float $x, float $y1, float $z, float $travel): Solid
    {
        [$low, $front] = [$body->low->result->toDouble(), $body->front()];
        $at = $site->at($x, $y1 - $travel, $z);
        $profile = [new Point(0.0, 0.0), new Point(2 * $travel, 0.0), new Point(2 * $travel, $front), new Point($travel, $front), new Point(0.0, $low)];

        return new Solid([Convex::plate($profile, $body->wide(), new Pose($at, Way::Out->vector(), Way::Up->vector(), Way::Right->vector()))]);
    }

    private function tooClose(OpeningSite $site, PullOutBody $body): Finding
    {
        $fits = max(0, (int) floor(($body->low->result->toDouble() - $site->terms->board() - self::HAND) / (self::HAND + $site->terms->board())));

        return Finding::clash(Code::ShelvesTooClose, sprintf('%d shelves in the pull-out leave openings of %s at its low side; %s is the least that a hand gets into.', $this->shelves, $site->terms->format->write($body->spacing()->result ?? Length::zero()), $site->terms->write(self::HAND)), $site->opening->tierId)
            ->withWaysOut([new WayOut($fits === 1 ? 'Keep 1 shelf' : "Keep $fits shelves", Edits::tier($site->opening->tierId)->setting(['shelves' => $fits])), $site->emptied()]);
    }

    private function tooLow(OpeningSite $site, float $high): Finding
    {
        return Finding::clash(Code::RakeHit, sprintf('At its low side the body of the pull-out would be %s high; %s is the least that holds anything. Make the tier higher, or begin the bay where the slope is higher.', $site->terms->write(max(0.0, $high)), $site->terms->write(self::LOWEST)), $site->opening->tierId)->withWaysOut([$site->emptied()]);
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
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
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\GridBuild;
use Incastro\Units\InsideUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Slots;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * A grid of small open places: uprights and level boards half-lapped into each other and slid in whole, or level boards from side to
 * side with uprights between them. Columns and rows are equal; the last column and the top row take what rounding leaves over.
 */
#[About('cubbies', 'Cubbies', 'A grid of small open places: for shoes, yarn, post.', 'Storage')]
final readonly class Cubbies implements InsideUnit
{
    /** A place smaller than this takes no hand, mm. */
    private const HAND = 60.0;

    private const SHALLOWEST = 100.0;

    public function __construct(
        #[Count('Columns', 3, 1, 12)] public int $columns,
        #[Count('Rows', 3, 1, 12)] public int $rows,
        #[Choice('Built', GridBuild::Lap)] public GridBuild $build,
        #[Size('Depth', null, 100, 1200, 'Usually as deep as shelves there are.')] public ?Length $depth = null,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        $t = $materials->for(Purpose::Drawer)->thickness;
        $hand = Length::ofDouble(self::HAND);

        return new OpeningDemand(
            Extent::atLeast($hand->times($this->columns)->plus($t->times($this->columns - 1)), 'hands in so many columns need %s', Code::CubbySmall),
            Extent::atLeast($hand->times($this->rows)->plus($t->times($this->rows - 1)), 'hands in so many rows need %s', Code::CubbySmall),
            Extent::atLeast($this->depth ?? Length::ofDouble(self::SHALLOWEST), 'cubbies need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $format = $site->terms->format;
        $t = $site->terms->materials->for(Purpose::Drawer)->thickness;
        $share = fn (Working $clear, int $count, string $parts): Working => ($count === 1 ? $clear : $clear->minusTimes('boards between', $count - 1, $t)->dividedBy($parts, $count))->roundedDown($format);
        $across = $share($site->width(), $this->columns, 'equal columns');
        $up = $share($site->height(), $this->rows, 'equal rows');
        if (min($across->result->toDouble(), $up->result->toDouble()) < self::HAND) {
            return new Assembly([], findings: [$this->tooSmall($site, min($across->result->toDouble(), $up->result->toDouble()))]);
        }
        $inside = $site->inside($site->height()->result->toDouble());
        $deep = $this->depth === null ? $inside : Working::start('depth as chosen', $this->depth)->atMost('what is inside', $inside->result);
        if ($deep->result->toDouble() < self::SHALLOWEST) {
            return new Assembly([], findings: [Finding::clash(Code::TooShallow, sprintf('Cubbies here are %s deep; %s is the least that is worth a grid.', $site->terms->write(max(0.0, $deep->result->toDouble())), $site->terms->write(self::SHALLOWEST)), $site->opening->tierId)->withWaysOut([$site->emptied()])]);
        }
        $decided = ['Width of a cubby, '.$site->name() => $across, 'Height of a cubby, '.$site->name() => $up];
        $built = $this->build === GridBuild::Lap
            ? $this->lapped($site, $across, $up, $deep)
            : $this->butted($site, $across, $up, $deep);

        return Assembly::all($built, new Assembly([], [], [], $decided));
    }

    /** How much less than the opening a lapped grid is that is slid in, and how much wider its slots are than its boards; mm. */
    private static function play(OpeningSite $site): Length
    {
        return $site->terms->rules->either(1, 1 / 32);
    }

    private static function slack(OpeningSite $site): float
    {
        return $site->terms->rules->either(0.3, 1 / 64)->toDouble();
    }

    /** As deep as it may be before a nailer that stands so far out; mm. */
    private function before(OpeningSite $site, Working $deep, float $nailer): Working
    {
        $less = $nailer - ($site->front() - $deep->roundedDown($site->terms->format)->result->toDouble());

        return $nailer > 0.0 && $less > 1e-6 ? $deep->minus('a nailer behind', Length::ofDouble($less)) : $deep;
    }

    /** Where each of so many boards begins between equal places, mm. */
    private function begins(Working $place, int $board, OpeningSite $site): float
    {
        return $board * $place->result->toDouble() + ($board - 1) * $site->terms->materials->for(Purpose::Drawer)->thickness->toDouble();
    }

    private function lapped(OpeningSite $site, Working $across, Working $up, Working $deep): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->for(Purpose::Drawer)->thickness->toDouble();
        $play = self::play($site);
        $slack = self::slack($site);
        $tall = $site->height()->minus('slid in whole', $play)->roundedDown($terms->format);
        $long = $site->width()->minus('slid in whole', $play)->roundedDown($terms->format);
        $gd = $deep->roundedDown($terms->format)->result->toDouble();
        $half = $gd / 2 + $terms->rules->either(0.5, 1 / 64)->toDouble();
        $x0 = ($site->width()->result->toDouble() - $long->result->toDouble()) / 2;
        $y = $site->front() - $gd;
        $banded = [new Finished('front, long', Finish::Banded)];
        $uprights = $levels = $joints = [];
        for ($j = 1; $j < $this->columns; $j++) {
            $slots = new Slots($tall->result->toDouble(), $gd);
            for ($k = 1; $k < $this->rows; $k++) {
                $slots->far($this->begins($up, $k, $site) - $slack / 2, $this->begins($up, $k, $site) + $t + $slack / 2, $half);
            }
            $this->notched($slots, $site, $y, $tall->result->toDouble());
            $piece = $site->make->inner("upright-$j", 'Cubby upright', $tall, $deep, Purpose::Drawer, Grain::Length, $banded, ['half-lapped, slots from the front'], $slots->outline(), $site->next('upright'));
            $uprights[] = $site->placed($piece, $this->begins($across, $j, $site), $y, 0.0, Way::Up, Way::Out, Way::Right, Part::Loose);
        }
        for ($k = 1; $k < $this->rows; $k++) {
            $z = $this->begins($up, $k, $site);
            // Where a nailer stands behind it, it begins before that.
            $width = $this->before($site, $deep, $site->nailerBetween($z, $z + $t));
            $wide = $width->roundedDown($terms->format)->result->toDouble();
            $slots = new Slots($long->result->toDouble(), $wide);
            for ($j = 1; $j < $this->columns; $j++) {
                $at = $this->begins($across, $j, $site) - $x0;
                $slots->near($at - $slack / 2, $at + $t + $slack / 2, $half - ($gd - $wide));
            }
            $piece = $site->make->inner("level-$k", 'Cubby level', $long, $width, Purpose::Drawer, Grain::Length, $banded, ['half-lapped, slots from the back'], $slots->outline(), $site->next('level'));
            $levels[] = $level = $site->placed($piece, $x0, $site->front() - $wide, $z, Way::Right, Way::Out, Way::Up, Part::Loose);
            array_push($joints, ...$site->toSides($piece, JointKind::Nails, 'cubbies to the sides'));
            foreach ($uprights as $upright) {
                $joints[] = new Joint($upright->piece->key, $level->piece->key, JointKind::Glue, 'cubbies');
            }
        }

        return new Assembly([...$uprights, ...$levels], $joints, [], [], $this->beforeFrame($site, $long, $tall));
    }

    /** What reaches back past nailers at its foot or its head is notched for them. */
    private function notched(Slots $slots, OpeningSite $site, float $y, float $tall): void
    {
        $t = $site->terms->board();
        $air = $site->terms->rules->either(1, 1 / 32)->toDouble();
        foreach ($site->nailersIn(0.0, $tall) as [$from, $to]) {
            if ($t + $air > $y) {
                $slots->near($from - $air, $to + $air, $t + $air - $y);
            }
        }
    }

    /** @return list<Finding> */
    private function beforeFrame(OpeningSite $site, Working $long, Working $tall): array
    {
        [$left, $right, $foot, $top] = $site->frame();
        $isWider = $long->result->toDouble() > $site->width()->result->toDouble() - $left - $right || $tall->result->toDouble() > $site->height()->result->toDouble() - $foot - $top;

        return $isWider && $this->columns > 1 && $this->rows > 1 ? [Finding::note(Code::GridBeforeFrame, 'The grid of cubbies is larger than the opening of the face frame: slide it in before the frame goes on.', $site->opening->tierId)] : [];
    }

    /** Level boards from side to side, and uprights between them. */
    private function butted(OpeningSite $site, Working $across, Working $up, Working $deep): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->for(Purpose::Drawer)->thickness;
        $banded = [new Finished('front, long', Finish::Banded)];
        $placed = $joints = $levels = [];
        for ($k = 1; $k < $this->rows; $k++) {
            $z = $this->begins($up, $k, $site);
            $less = $site->nailerBetween($z, $z + $t->toDouble());
            $width = $this->before($site, $deep, $less);
            $piece = $site->make->inner("level-$k", 'Cubby level', $site->joints()->between($site->width()), $width, Purpose::Drawer, Grain::Length, $banded, [$site->joints()->words()], null, $site->next('level'));
            $placed[] = $levels[$k] = $site->level($piece, $z, Part::Body);
            array_push($joints, ...$site->fixed($piece, 'cubbies to the sides'));
        }
        for ($r = 1; $r <= $this->rows; $r++) {
            $foot = $r === 1 ? 0.0 : $this->begins($up, $r - 1, $site) + $t->toDouble();
            $high = $r < $this->rows ? $up : $this->rest($site, $up, $t);
            $less = $site->nailerBetween($foot, $foot + $high->result->toDouble());
            for ($j = 1; $j < $this->columns; $j++) {
                $width = $this->before($site, $deep, $less);
                $piece = $site->make->inner("upright-$r-$j", 'Cubby upright', $high, $width, Purpose::Drawer, Grain::Length, $banded, ['between the level boards'], null, $site->next('upright'));
                $wide = $piece->width->result->toDouble();
                $placed[] = $site->placed($piece, $this->begins($across, $j, $site), $site->front() - $wide, $foot, Way::Up, Way::Out, Way::Right, Part::Body);
                // The row over a level board is screwed first; the next one is nailed at a slant, for its screws would meet them.
                if (isset($levels[$r - 1])) {
                    $joints[] = new Joint($levels[$r - 1]->piece->key, $piece->key, JointKind::Screws, 'cubbies');
                }
                if (isset($levels[$r])) {
                    $joints[] = new Joint($piece->key, $levels[$r]->piece->key, JointKind::Nails, 'cubbies');
                }
            }
        }

        return new Assembly($placed, $joints);
    }

    /** Height of the top row: what the others leave. */
    private function rest(OpeningSite $site, Working $up, Length $t): Working
    {
        return $this->rows === 1 ? $site->height() : $site->height()->minusTimes('boards between', $this->rows - 1, $t)->minusTimes('rows under it', $this->rows - 1, $up->result);
    }

    private function tooSmall(OpeningSite $site, float $least): Finding
    {
        $t = $site->terms->materials->for(Purpose::Drawer)->thickness->toDouble();
        $fits = fn (float $clear): int => max(1, (int) floor(($clear + $t) / (self::HAND + $t)));

        return Finding::clash(Code::CubbySmall, sprintf('Cubbies of %s take no hand; %s is the least.', $site->terms->write(max(0.0, $least)), $site->terms->write(self::HAND)), $site->opening->tierId)
            ->withWaysOut([
                new WayOut('Make fewer of them', Edits::tier($site->opening->tierId)->setting(['columns' => min($this->columns, $fits($site->width()->result->toDouble())), 'rows' => min($this->rows, $fits($site->height()->result->toDouble()))])),
                $site->emptied(),
            ]);
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\ShelfForm;
use Incastro\Units\ShelfLip;
use Incastro\Units\ShelfSupport;
use Incastro\Units\Sites\OpeningSite;

/**
 * A shelf that is not joined to its box: on pins, on cleats, or on bars between notched battens; one board or slats, with a strip
 * along its front edge or none. Sizes are its place in the opening; mm.
 */
final readonly class MovableShelf
{
    /** Cleats end so far behind the front of their shelf, mm. */
    private const CLEAT_BACK = 20.0;

    /** Holes of a sawtooth batten, in mm and in inches: how wide it is, the hole, from hole to hole, and the first over its foot. */
    private const BATTEN = [38.0, 1.5];

    private const HOLE = [25.0, 1.0];

    private const PITCH = [40.0, 1.5];

    private const FIRST = [80.0, 3.0];

    /** Left round a batten where a shelf is notched for it, in mm and in inches. */
    private const NOTCH_PLAY = [1.5, 0.0625];

    public function __construct(
        private OpeningSite $site,
        private ShelfSupport $support,
        private ShelfForm $form,
        private ShelfLip $lip,
        private Length $lipHeight,
        private Length $slat,
        private Length $slatGap,
    ) {
    }

    /** What of the depth a strip in front of the shelf takes. */
    public function behindLip(Working $depth): Working
    {
        return $this->lip === ShelfLip::Front ? $depth->minus('strip in front of it', $this->site->terms->materials->frame->thickness) : $depth;
    }

    /** Where a shelf ends in front, behind its strip; y, mm. */
    private function front(): float
    {
        return $this->site->front() - ($this->lip === ShelfLip::Front ? $this->site->terms->materials->frame->thickness->toDouble() : 0.0);
    }

    /** Where the shelf can lie nearest to a height: on bars only where there are holes. */
    public function height(float $wanted): float
    {
        if ($this->support !== ShelfSupport::Sawtooth || $this->form === ShelfForm::Slatted) {
            return $wanted;
        }
        $over = $this->size(self::HOLE) / 2 - $this->size([0.5, 1 / 64]);
        $holes = max(0.0, round(($wanted - $over - $this->size(self::FIRST)) / $this->size(self::PITCH)));

        return $this->size(self::FIRST) + $holes * $this->size(self::PITCH) + $over;
    }

    /** A shelf so deep behind its lip, at a height of its underside. */
    public function build(int $i, Working $depth, float $z, string $mark): Assembly
    {
        $t = $this->site->terms->materials->for(Purpose::Shelf)->thickness->toDouble();
        $built = $this->form === ShelfForm::Slatted ? $this->slatted($i, $depth, $z, $mark) : match ($this->support) {
            ShelfSupport::Pins => $this->onPins($i, $depth, $z, $mark),
            ShelfSupport::Cleats => $this->onCleats($i, $depth, $z, $mark),
            ShelfSupport::Sawtooth => $this->onBars($i, $depth, $z, $mark),
        };
        if ($this->lip === ShelfLip::None) {
            return $built;
        }
        // Of slats it is the foremost that bears the strip.
        $boards = array_filter($built->placed, fn (Placed $one) => $one->part === Part::Loose);
        usort($boards, fn (Placed $one, Placed $other) => $other->bounds->v1 <=> $one->bounds->v1);

        return Assembly::all($built, $this->strip($i, $boards[0], $z, $t, $mark));
    }

    /** @param array{float, float} $size in mm and in inches */
    private function size(array $size): float
    {
        return $this->site->terms->rules->either(...$size)->toDouble();
    }

    /** Play of what stands between the sides on cleats. */
    private function cleatPlay(): Length
    {
        return $this->site->terms->rules->either(2, 1 / 16);
    }

    private function board(int $i, string $name, Working $length, Working $depth, string $on, string $mark, ?Outline $outline = null): Piece
    {
        return $this->site->make->inner("shelf-$i", $name, $length, $depth, Purpose::Shelf, Grain::Length, [new Finished('front, long', Finish::Banded)], [$on], $outline, $mark);
    }

    private function onPins(int $i, Working $depth, float $z, string $mark): Assembly
    {
        $length = $this->site->width()->minus('play, so that it drops in', $this->site->terms->rules->get(Rule::ShelfPlay));
        $piece = $this->board($i, 'Adjustable shelf', $length, $depth, 'on four pins', $mark);

        return new Assembly([$this->placed($piece, $z)], $this->site->toSides($piece, JointKind::Pins, 'adjustable shelves'));
    }

    /** A level board in the middle. */
    private function placed(Piece $piece, float $z): Placed
    {
        $x = ($this->site->width()->result->toDouble() - $piece->length->result->toDouble()) / 2;

        return $this->site->placed($piece, $x, $this->front() - $piece->width->result->toDouble(), $z, Way::Right, Way::Out, Way::Up, Part::Loose);
    }

    private function onCleats(int $i, Working $depth, float $z, string $mark): Assembly
    {
        $length = $this->site->width()->minus('play between the sides', $this->cleatPlay());
        $piece = $this->board($i, 'Shelf on cleats', $length, $depth, 'screwed down to cleats', $mark);
        $placed = $this->placed($piece, $z);

        return Assembly::all(new Assembly([$placed]), $this->cleats($i, [$placed], $depth, $z, $mark, true));
    }

    /**
     * Cleats under a shelf along the sides, and one along the back; under slats along the sides alone, as far as the foremost.
     *
     * @param  list<Placed>  $boards  that lie on them
     */
    private function cleats(int $i, array $boards, Working $depth, float $z, string $mark, bool $hasBack): Assembly
    {
        $site = $this->site;
        $t = $site->terms->board();
        $high = $site->terms->rule(Rule::CleatWidth);
        $rear = $this->front() - $depth->roundedDown($site->terms->format)->result->toDouble();
        $from = max($site->nailerBetween($z - $high, $z), $rear);
        $length = $hasBack ? $depth->minus('ends behind the front of its shelf', Length::ofDouble(self::CLEAT_BACK)) : $depth;
        $length = $from - $rear > 1e-6 ? $length->minus('a nailer behind', Length::ofDouble($from - $rear)) : $length;
        $wide = Working::start('width of a cleat', $site->terms->rules->get(Rule::CleatWidth));
        $cleat = fn (string $role, string $name, Working $length): Piece => $site->make->inner("shelf-$i-$role", $name, $length, $wide, Purpose::Carcass, Grain::Length, [], ['screwed to the side'], null, "$mark-$role");
        $clear = $site->width()->result->toDouble();
        $placed = [
            $site->placed($left = $cleat('cleat-L', 'Side cleat', $length), 0.0, $from, $z - $wide->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Cleat),
            $site->placed($right = $cleat('cleat-R', 'Side cleat', $length), $clear - $t, $from, $z - $wide->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Cleat),
        ];
        [$boardL, $boardR] = $site->beside();
        $joints = [new Joint($left->key, $boardL, JointKind::Screws, 'cleats under shelves'), new Joint($right->key, $boardR, JointKind::Screws, 'cleats under shelves')];
        if ($hasBack && $from < 1e-6) {
            $back = $cleat('cleat-back', 'Back cleat', $site->width()->minusTimes('two cleats', 2, $site->terms->materials->carcass->thickness));
            $placed[] = $site->placed($back, $t, 0.0, $z - $wide->result->toDouble(), Way::Right, Way::Up, Way::Out, Part::Cleat);
        }
        foreach ($boards as $board) {
            $joints[] = new Joint($board->piece->key, $left->key, JointKind::Screws, 'shelves on cleats');
            $joints[] = new Joint($board->piece->key, $right->key, JointKind::Screws, 'shelves on cleats');
        }

        return new Assembly($placed, $joints);
    }

    /** Slats across its depth, as many as leave no wider gap than is chosen, screwed to cleats at the sides. */
    private function slatted(int $i, Working $depth, float $z, string $mark): Assembly
    {
        $site = $this->site;
        $deep = $depth->roundedDown($site->terms->format)->result->toDouble();
        $wide = Working::start('width of a slat', $this->slat);
        $count = max(2, (int) ceil(($deep + $this->slatGap->toDouble()) / ($this->slat->toDouble() + $this->slatGap->toDouble()) - 1e-9));
        if ($count * $this->slat->toDouble() > $deep) {
            // One less leaves too wide gaps, so many have no room: they are ripped, with the gaps that were asked for.
            $wide = Working::start('depth of the shelf', $depth->result)->minusTimes('gaps', $count - 1, $this->slatGap)->dividedBy('slats', $count)->roundedDown($site->terms->format);
        }
        $slat = $wide->result->toDouble();
        $gap = ($deep - $count * $slat) / ($count - 1);
        $length = $site->width()->minus('play between the sides', $this->cleatPlay());
        $slats = [];
        for ($k = 0; $k < $count; $k++) {
            $role = "shelf-$i".($k === 0 ? '' : '-slat-'.($k + 1));
            $piece = $site->make->inner($role, 'Slat', $length, $wide, Purpose::Shelf, Grain::Length, [new Finished('both long', Finish::Banded)], ['screwed down to cleats'], null, $mark.'-'.($k + 1));
            $slats[] = $site->placed($piece, ($site->width()->result->toDouble() - $piece->length->result->toDouble()) / 2, $this->front() - $deep + $k * ($slat + $gap), $z, Way::Right, Way::Out, Way::Up, Part::Loose);
        }

        return Assembly::all(new Assembly($slats, [], [], ['Gap between slats, '.$mark => Working::start('what the slats leave, in equal gaps', Length::ofDouble($gap))]), $this->cleats($i, $slats, $depth, $z, $mark, false));
    }

    /** On two bars whose round ends lie in the notches of the battens. */
    private function onBars(int $i, Working $depth, float $z, string $mark): Assembly
    {
        $site = $this->site;
        $t = $site->terms->materials->carcass->thickness;
        $hole = $this->size(self::HOLE);
        $batten = $this->size(self::BATTEN);
        $rear = $this->rear();
        $in = ($hole - $site->terms->rule(Rule::Kerf)) / 2;
        $front = $this->front();
        $between = Working::start('between the battens', Length::ofDouble($front - $batten - $rear - $batten))
            ->plusTimes('into their notches', 2, Length::ofDouble($in))
            ->minus('play in the notches', $this->cleatPlay());
        $high = Working::start('hole', Length::ofDouble($hole))->minus('play in the hole', $this->site->terms->rules->either(1, 1 / 32));
        $wide = $site->width()->result->toDouble();
        $bars = $joints = [];
        foreach (['L' => 0.0, 'R' => $wide - $t->toDouble()] as $hand => $x) {
            $piece = $site->make->moving("shelf-$i-bar-$hand", 'Bar', $between, $high, Purpose::Carcass, Grain::Length, [], ['its ends rounded, in the notches of the battens'], "$mark-bar-$hand");
            $long = $piece->length->result->toDouble();
            $bars[] = $site->placed($piece, $x, ($rear + $front - $long) / 2, $z - $piece->width->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Cleat);
            foreach (['back', 'front'] as $which) {
                $joints[] = new Joint($piece->key, self::battenKey($site, $hand, $which), JointKind::Glue, 'bars in battens', $in);
            }
        }
        $length = $site->width()->minus('play, so that it drops in', $site->terms->rules->get(Rule::ShelfPlay))->roundedDown($site->terms->format);
        $deep = $depth->roundedDown($site->terms->format)->result->toDouble();
        $play = $this->size(self::NOTCH_PLAY);
        $behind = max(0.0, $rear - ($front - $deep));
        $slots = new Slots($length->result->toDouble(), $deep);
        foreach ([[0.0, $t->toDouble()], [$length->result->toDouble() - $t->toDouble(), $length->result->toDouble()]] as [$from, $to]) {
            $slots->near($from, $to, $behind + $batten + $play);
            $slots->far($from, $to, $batten + $play);
        }
        $piece = $this->board($i, 'Adjustable shelf', $length, $depth, 'on two bars; its corners notched for the battens', $mark, $slots->outline());

        return new Assembly([$this->placed($piece, $z), ...$bars], [...$joints, ...array_map(fn (Placed $bar) => new Joint($piece->key, $bar->piece->key, JointKind::Glue, 'shelves on bars'), $bars)]);
    }

    /** Where battens begin behind: before a nailer at the foot or the head. */
    private function rear(): float
    {
        return $this->site->nailerBetween(0.0, $this->site->height()->result->toDouble());
    }

    private static function battenKey(OpeningSite $site, string $hand, string $which): string
    {
        return $site->opening->tierId.":batten-$hand-$which";
    }

    /** The four battens of an opening: drilled in pairs and ripped through the holes, so that their teeth face each other. */
    public function battens(): Assembly
    {
        if ($this->support !== ShelfSupport::Sawtooth || $this->form === ShelfForm::Slatted) {
            return new Assembly([]);
        }
        $site = $this->site;
        $t = $site->terms->board();
        $length = $site->height()->minus('air', $this->site->terms->rules->either(1, 1 / 32));
        $wide = Working::start('width of a batten', Length::ofDouble($this->size(self::BATTEN)));
        $write = $site->terms->write(...);
        $how = sprintf('drilled Ø %s every %s from %s up, in a blank for two, and ripped through the holes', $write($this->size(self::HOLE)), $write($this->size(self::PITCH)), $write($this->size(self::FIRST)));
        $clear = $site->width()->result->toDouble();
        $front = $this->front();
        $placed = $joints = [];
        foreach (['L' => 0.0, 'R' => $clear - $t] as $hand => $x) {
            foreach (['back' => $this->rear(), 'front' => $front - $this->size(self::BATTEN)] as $which => $y) {
                $piece = $site->make->inner("batten-$hand-$which", 'Sawtooth batten', $length, $wide, Purpose::Carcass, Grain::Length, [], [$how], null, $site->mark("batten-$hand-$which"));
                $placed[] = $site->placed($piece, $x, $y, 0.0, Way::Up, Way::Out, Way::Right, Part::Cleat);
                $joints[] = new Joint($piece->key, $site->beside()[$hand === 'L' ? 0 : 1], JointKind::Screws, 'battens to the sides');
            }
        }

        return new Assembly($placed, $joints);
    }

    /** A strip along the front edge of a shelf: before it, or under it and flush. */
    private function strip(int $i, Placed $shelf, float $z, float $t, string $mark): Assembly
    {
        $site = $this->site;
        $isFront = $this->lip === ShelfLip::Front;
        $thick = $site->terms->materials->frame->thickness->toDouble();
        $length = Working::start('length of its shelf', $shelf->piece->length->result);
        $under = $isFront ? 0.0 : $this->underSides();
        $length = $under > 0.0 ? $length->minusTimes('what the shelf lies on', 2, Length::ofDouble($under)) : $length;
        $piece = $site->make->inner("shelf-$i-lip", 'Lip strip', $length, Working::start('height of the strip', $this->lipHeight), Purpose::Frame, Grain::Length, [], ['glued to its shelf'], null, "$mark-lip");
        $high = $piece->width->result->toDouble();
        $x = ($site->width()->result->toDouble() - $piece->length->result->toDouble()) / 2;
        $placed = $site->placed($piece, $x, $site->front() - $thick, $isFront ? $z + $t - $high : $z - $high, Way::Right, Way::Up, Way::Out, Part::Loose);

        return new Assembly([$placed], [new Joint($piece->key, $shelf->piece->key, JointKind::Glue, 'lips of shelves')]);
    }

    /** How far what a shelf lies on at its sides reaches under it to its front, mm. */
    private function underSides(): float
    {
        return $this->support === ShelfSupport::Sawtooth || $this->form === ShelfForm::Slatted ? $this->site->terms->board() : 0.0;
    }
}

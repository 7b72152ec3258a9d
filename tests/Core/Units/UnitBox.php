<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Box;
use Incastro\Fit\BoxTop;
use Incastro\Fit\Column;
use Incastro\Fit\Holds\ChangesBox;
use Incastro\Fit\Holds\ClosesOpenings;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Layout\Front;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Article;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Fronts\Door;
use Incastro\Units\Hand;
use Incastro\Units\HingeKind;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Shell\BoxBuilder;
use Tests\Core\TestAlcove;

/** A box of one opening on its own, by its outer sizes as one types them, and what is built in it in the opening's own frame. */
final readonly class UnitBox
{
    private Length $board;

    private Length $behind;

    /** @param list<Article> $articles that can be bought; none: the usual ones. @param ?string $low height of its left side, from which its top rises to the right, or of its right one @param ?string $back height of its back, from which its top rises outwards until it breaks */
    public function __construct(private string $width, private string $height, private string $depth, private Unit $unit = Unit::Millimetre, private BoxJoint $joint = BoxJoint::Pocket, private array $articles = [], private ?Schools $schools = null, private ?string $low = null, private bool $fallsRight = false, private string $drawerBoards = '', private string $panelBoards = '', string $board = '', private ?string $back = null, private string $breaks = '0')
    {
        $this->board = $this->length($board !== '' ? $board : ($unit === Unit::Inch ? '23/32' : '17.7'));
        $this->behind = $this->length($unit === Unit::Inch ? '7/32' : '6');
    }

    /** 800 × 900 × 560 with boards of 17.7, a back of 6 and a face frame of 18. */
    public static function metric(BoxJoint $joint = BoxJoint::Pocket, string $drawer = ''): self
    {
        return new self('800', '900', '560', joint: $joint, drawerBoards: $drawer);
    }

    /** 700 wide, from 800 high at its left to 1325 at its right: tan 0.75, cos 0.8; 850 deep. */
    public static function raked(?Schools $schools = null): self
    {
        return new self('700', '1325', '850', schools: $schools, low: '800');
    }

    /** 30 × 34 3/4 × 22 of 23/32 with banded edges: 28 9/16 × 33 5/16 clear, boards 21 25/32 deep. */
    public static function banded(): self
    {
        return new self('30', '34 3/4', '22', Unit::Inch, schools: new Schools(edges: Edges::Band));
    }

    public static function door(int $leaves, Hand $hand, Pull $pull, Mount $mount = Mount::Inset, ?string $lap = null, Unit $unit = Unit::Millimetre, LeafBuild $build = LeafBuild::Slab, bool $glazed = false, HingeKind $hinges = HingeKind::Concealed): Door
    {
        return new Door($leaves, $hand, $pull, $mount, $lap === null ? null : (new LengthReader($unit))->read($lap), null, $build, $glazed, $hinges);
    }

    private function length(string $typed): Length
    {
        return (new LengthReader($this->unit))->read($typed);
    }

    public function build(HoldsOpening $unit, ?ClosesOpenings $front = null, ?ChangesBox ...$options): Assembly
    {
        $options = array_values(array_filter($options));
        $isBottomless = array_filter($options, fn (ChangesBox $option) => $option instanceof LeavesBottomOut) !== [];
        $size = fn (Length $length) => Working::start('chosen', $length);
        $inner = fn (string $typed) => $size($this->length($typed)->minus($this->board->times(2)));
        $t = $this->board->toDouble();
        $clear = $inner($this->low ?? $this->height);
        $opening = new Opening('tier', $isBottomless ? $clear->plus('the bottom left out', $this->board) : $clear, $isBottomless ? 0.0 : $t, $unit, $front === null ? null : new Front('front', $front), array_map(fn (ChangesBox $option) => new Option('option', $option), $options));
        $box = new Box('tier', 'B1', 0.0, 0.0, 0.0, $size($this->length($this->width)), $size($this->length($this->height)), $size($this->length($this->depth)), $this->top(), [new Column('bay', $inner($this->width), $t, [$opening])]);
        $material = fn (string $id, Length $thick) => new SheetGood($id, $id, $thick, 680.0);
        $frame = $this->length($this->unit === Unit::Inch ? '3/4' : '18');
        $drawer = $this->length($this->drawerBoards !== '' ? $this->drawerBoards : ($this->unit === Unit::Inch ? '15/32' : '12'));
        $all = [$material('carcass', $this->board), $material('frame', $frame), $material('back', $this->behind), $material('drawer', $drawer), $material('front', $frame), ...($this->panelBoards === '' ? [] : [$material('panel', $this->length($this->panelBoards))])];
        $catalogue = new Catalogue($all, ['carcass' => 'carcass', 'frame' => 'frame', 'back' => 'back', 'drawer' => 'drawer', 'front' => 'front'] + ($this->panelBoards === '' ? [] : ['panel' => 'panel']), $this->articles);
        $room = TestAlcove::leaning()->survey()->room ?? throw new \LogicException('The test alcove has a room.');

        return (new BoxBuilder($box, new Terms($room, new HouseRules($this->unit, schools: $this->schools ?? new Schools($this->joint)), $catalogue, $this->unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres())))->build();
    }

    private function top(): BoxTop
    {
        if ($this->back !== null) {
            return BoxTop::sloped($this->length($this->back)->toDouble(), $this->length($this->height)->toDouble(), $this->length($this->breaks)->toDouble());
        }
        $high = $this->length($this->height)->toDouble();
        $low = $this->low === null ? $high : $this->length($this->low)->toDouble();

        return $this->low === null ? BoxTop::flat($high) : BoxTop::raked(...($this->fallsRight ? [$high, $low] : [$low, $high]));
    }

    /**
     * Pieces by their marks: length and width as cut, and from where to where they stand in the opening: x, y and z.
     *
     * @return array<string, array{float, float, array{float, float, float, float, float, float}}>
     */
    public function pieces(Assembly $assembly): array
    {
        $pieces = [];
        foreach ($assembly->placed as $placed) {
            $pieces[substr($placed->piece->mark, 3)] = [$placed->piece->length->result->toDouble(), $placed->piece->width->result->toDouble(), $this->place($placed)];
        }

        return $pieces;
    }

    /** @return array{float, float, float, float, float, float} */
    private function place(Placed $placed): array
    {
        $b = $placed->bounds;
        [$t, $back] = [$this->board->toDouble(), $this->behind->toDouble()];

        return array_map(fn (float $at) => round($at, 3), [$b->u0 - $t, $b->u1 - $t, $b->v0 - $back, $b->v1 - $back, $b->z0 - $t, $b->z1 - $t]);
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\SawSetup;

/** The cuts of all sheets, each with the tool that makes it and what must come before it, and the parts that they free. */
final class Forest
{
    /** @var list<PlannedCut> */
    private array $cuts = [];

    /** @var array<string, Part> sheets, and what is freed, by id */
    private array $parts = [];

    /** @var array<string, string> the part that a blank is in the end, where nothing cuts that off, by the blank's id */
    private array $last = [];

    /** @var array{x: list<int>, y: list<int>} sizes that are set anyway */
    private array $finals = ['x' => [], 'y' => []];

    private int $letter = 0;

    private int $sheet = 0;

    private PlannedSheet $of;

    /** @var list<Part> sheets or parts of them as they are carried home */
    private array $carried = [];

    /**
     * @param  list<PlannedSheet>  $sheets
     * @param  list<Slice>  $slices  the tree of each
     * @param  \Closure(string): float  $density  of a material, kg/m³
     * @param  string  $mark  letter before the number of a sheet
     * @param  array<int, YardCuts>  $yard  the cuts of each sheet that the yard makes
     * @param  string  $plan  what tells its strips from those of an earlier plan: a piece is the same in every plan, a strip is not
     */
    public function __construct(array $sheets, array $slices, private readonly SawSetup $saw, private readonly Tools $tools, private readonly \Closure $density, private readonly string $mark = 'S', private readonly string $plan = '', array $yard = [])
    {
        foreach ($slices as $slice) {
            $this->gather($slice);
        }
        foreach ($sheets as $i => $sheet) {
            $this->of = $sheet;
            $this->sheet = $i + 1;
            $this->letter = 0;
            $this->sheet($slices[$i], $yard[$i] ?? new YardCuts([]));
        }
    }

    /** @return list<PlannedCut> */
    public function cuts(): array
    {
        return $this->cuts;
    }

    /** @return array<string, Part> */
    public function parts(): array
    {
        return $this->parts;
    }

    /** @return array<string, string> */
    public function last(): array
    {
        return $this->last;
    }

    /** @return list<Part> what is carried home: sheets, and parts of those that the yard cut */
    public function carried(): array
    {
        return $this->carried;
    }

    private function gather(Slice $slice): void
    {
        foreach ($slice->slices as $one) {
            assert($slice->axis !== null);
            if ($one->isFinal($slice->axis)) {
                $this->finals[$slice->axis === Axis::X ? 'x' : 'y'][] = $one->size($slice->axis);
            }
            $this->gather($one);
        }
        if ($slice->axis === null) {
            $this->finals['x'][] = $slice->x;
            $this->finals['y'][] = $slice->y;
        }
    }

    private function sheet(Slice $slice, YardCuts $yard): void
    {
        $stock = $this->of->stock;
        $blank = $this->part(self::id($this->plan, $this->mark, (string) $this->sheet, ...self::names($slice)), "$this->mark$this->sheet", $stock->length->nanometres(), $stock->width->nanometres(), null, null, Fate::CutFurther);
        if ($yard->after !== []) {
            $this->atYard($slice, $yard, $blank);

            return;
        }
        $this->carried[] = $blank;
        [$low, $start] = [$this->saw->on($stock)->trimLow->nanometres(), $this->saw->on($stock)->trimStart->nanometres()];
        $needs = [];
        [$x, $y] = [$blank->x, $blank->y];
        if ($low > 0) {
            $needs = [$this->trim($blank, Axis::Y, $x, $y, $low, [])];
            $y -= $low;
        }
        $isSquare = $start === 0;
        // The end of the whole sheet is squared at once where a guide covers it; else each strip's is.
        if (! $isSquare && ($slice->axis === Axis::X || $this->tools->ways(CutClass::Breakdown, $y, $start, $x, $stock->thickness->nanometres(), $blank->kg) !== [])) {
            $needs = [$this->trim($blank, Axis::X, $y, $x, $start, $needs)];
            $x -= $start;
            $isSquare = true;
        }
        $this->blank($slice, $blank, $x, $y, $needs, $isSquare);
    }

    /** Parts that the yard cuts off one after another; the last is what remains of the sheet. */
    private function atYard(Slice $slice, YardCuts $cuts, Part $blank): void
    {
        assert($slice->axis !== null);
        $saw = $this->saw->on($this->of->stock);
        $isX = $slice->axis === Axis::X;
        [$near, $across] = $isX ? [$saw->trimStart, $saw->trimLow] : [$saw->trimLow, $saw->trimStart];
        foreach ($this->yardParts($slice, $cuts->after, $slice->axis, $blank, $blank->x, $blank->y, [], $near->nanometres()) as [$from, $many, $part, $x, $y, $needs]) {
            $within = $many === 1 ? $cuts->within[$from] ?? [] : [];
            if ($within === []) {
                $this->carry($part, $x, $y);
                $this->home($slice->some($from, $many, $this->kerf()), $slice->axis, $part, $x, $y, $needs);
                continue;
            }
            $one = $slice->slices[$from];
            foreach ($this->yardParts($one, $within, $slice->axis->across(), $part, $x, $y, $needs, $across->nanometres()) as [$first, $some, $inner, $innerX, $innerY, $innerNeeds]) {
                $this->carry($inner, $innerX, $innerY);
                // All its edges that are measured from are the yard's.
                $this->row($slice->axis->across(), array_slice($one->slices, $first, $some), $inner, $innerX, $innerY, $innerNeeds, true);
            }
        }
    }

    /**
     * @param  list<int>  $after  slices
     * @param  list<int>  $needs
     * @return list<array{int, int, Part, int, int, list<int>}> first slice and number of slices of each part, the part, its extents, and the cuts before it
     */
    private function yardParts(Slice $slice, array $after, Axis $axis, Part $blank, int $x, int $y, array $needs, int $near): array
    {
        $yard = $this->tools->yard ?? throw new \LogicException('A sheet is cut at the yard, and there is none.');
        $isX = $axis === Axis::X;
        $parts = [];
        $runs = YardCuts::runs($after, count($slice->slices));
        foreach ($runs as $r => [$from, $many]) {
            if ($r === count($runs) - 1) {
                // Behind the last slice lies what nothing is cut from.
                array_push($parts, ...$many === 0 ? [] : [[$from, $many, $blank, $x, $y, $needs]]);
                break;
            }
            $raw = $yard->raw($slice->some($from, $many, $this->kerf())->size($axis), $r === 0 ? $near : 0);
            [$partX, $partY] = $isX ? [$raw, $y] : [$x, $raw];
            $part = $this->part(self::id("$this->plan yard $axis->name", "$partX × $partY", ...self::names($slice->some($from, $many, $this->kerf()))), "$this->mark$this->sheet-".self::letters($this->letter++), $partX, $partY, $blank->id, null, Fate::CutFurther);
            $left = ($isX ? $x : $y) - $raw - $yard->kerf;
            $needs = [$this->add(new PlannedCut($this->sheet, $part->id, $blank->id, CutClass::Yard, $axis, $raw, $isX ? $y : $x, $left, Way::Yard, $needs, $this->kg($x, $y), $yard->kerf))];
            $parts[] = [$from, $many, $part, $partX, $partY, $needs];
            [$x, $y] = $isX ? [$left, $y] : [$x, $left];
        }

        return $parts;
    }

    private function carry(Part $part, int $x, int $y): void
    {
        $this->carried[] = new Part($part->id, $part->mark, $x, $y, $this->kg($x, $y), $part->from, $part->sheet, $part->piece, $part->fate);
    }

    /**
     * A part of the yard is cut to what lies in it: from the yard's edges, and across them from a factory edge that comes off first.
     *
     * @param  list<int>  $needs
     */
    private function home(Slice $slice, Axis $axis, Part $part, int $x, int $y, array $needs): void
    {
        $low = $this->saw->on($this->of->stock)->trimLow->nanometres();
        if ($axis === Axis::X && $low > 0) {
            $needs = [...$needs, $this->trim($part, Axis::Y, $x, $y, $low, $needs)];
            $y -= $low;
        }
        $isSquare = $axis === Axis::X || $this->saw->on($this->of->stock)->trimStart->nanometres() === 0;
        $this->row($axis, $slice->axis === $axis ? $slice->slices : [$slice], $part, $x, $y, $needs, $isSquare);
    }

    /**
     * Takes the factory edge off a blank.
     *
     * @param  list<int>  $needs
     */
    private function trim(Part $blank, Axis $axis, int $line, int $extent, int $trim, array $needs): int
    {
        $kerf = min($this->kerf(), $trim);
        $waste = $trim - $kerf;
        $isX = $axis === Axis::X;
        $freed = $this->part(self::id('edge', $axis->name, $blank->id), '', $isX ? $waste : $line, $isX ? $line : $waste, $blank->id, null, Fate::Waste);
        $ways = $this->tools->ways($isX ? CutClass::Crosscut : CutClass::Straighten, $line, $trim, $extent - $trim, $this->of->stock->thickness->nanometres(), $this->kg($line, $extent));
        // Neither fence nor stop takes a rough edge as its reference: the line is marked.
        $way = array_values(array_filter($ways, fn (Way $way) => $way !== Way::Fence))[0] ?? $ways[0] ?? null;

        return $this->add(new PlannedCut($this->sheet, $freed->id, $blank->id, CutClass::Straighten, $axis, $waste, $line, $extent - $trim, $way, $needs, $this->kg($line, $extent), $kerf));
    }

    /**
     * Cuts a blank into what its slice says.
     *
     * @param  list<int>  $needs  cuts after which it is there
     */
    private function blank(Slice $slice, Part $blank, int $x, int $y, array $needs, bool $isSquare): void
    {
        $start = $this->saw->on($this->of->stock)->trimStart->nanometres();
        if (! $isSquare && ($slice->axis === Axis::X || $slice->axis === null)) {
            $needs = [...$needs, $this->trim($blank, Axis::X, $y, $x, $start, $needs)];
            $x -= $start;
            $isSquare = true;
        }
        if ($slice->axis !== null) {
            $this->row($slice->axis, $slice->slices, $blank, $x, $y, $needs, $isSquare);

            return;
        }
        // A piece in the corner of its blank: the cut that leaves the larger rest in one comes first.
        $xFirst = ($x - $slice->x) * ($y / 1e6) >= ($y - $slice->y) * ($x / 1e6);
        foreach ($xFirst ? [Axis::X, Axis::Y] : [Axis::Y, Axis::X] as $axis) {
            if (($axis === Axis::X ? $x : $y) > $slice->size($axis)) {
                $this->row($axis, [$slice], $blank, $x, $y, $needs, $isSquare);

                return;
            }
        }
    }

    /**
     * @param  list<Slice>  $slices
     * @param  list<int>  $needs
     */
    private function row(Axis $axis, array $slices, Part $blank, int $x, int $y, array $needs, bool $isSquare): void
    {
        $isX = $axis === Axis::X;
        [$extent, $line] = $isX ? [$x, $y] : [$y, $x];
        $kerf = $this->kerf();
        $rest = $extent - array_sum(array_map(fn (Slice $slice) => $slice->size($axis), $slices)) - (count($slices) - 1) * $kerf;
        $last = $this->lastOf($slices, $axis, $rest);
        // No piece reaches into what would be trimmed off the far edge.
        $far = ($isX ? $this->saw->on($this->of->stock)->trimEnd : $this->saw->on($this->of->stock)->trimHigh)->nanometres();
        $sizes = [];
        foreach ($slices as $i => $slice) {
            $sizes[$i] = $slice->size($axis);
            if ($i !== $last && ! $slice->isFinal($axis)) {
                $snapped = $this->snapped($isX ? 'x' : 'y', $sizes[$i], $rest - $far - ($last === null ? $kerf : 0));
                $rest -= $snapped - $sizes[$i];
                $sizes[$i] = $snapped;
            }
        }
        arsort($sizes);
        $left = $last === null ? max(0, $rest - $kerf) : $sizes[$last] + $rest;
        $all = $heavy = [];
        $before = $extent;
        foreach ($sizes as $i => $size) {
            if ($i === $last) {
                continue;
            }
            $kg = $this->kg($line, $before);
            $ways = $this->tools->ways($isX ? CutClass::Crosscut : CutClass::Rip, $line, $size, $left, $this->of->stock->thickness->nanometres(), $kg);
            $isHeavy = ($ways[0] ?? null)?->tool() === ToolKind::GuidedSaw && $kg > $this->tools->push() && $this->tools->push() > 0;
            $child = $this->freed($slices[$i], $axis, $isX ? $size : $x, $isX ? $y : $size, $blank);
            $cut = $this->add(new PlannedCut($this->sheet, $child->id, $blank->id, $isHeavy ? CutClass::Breakdown : ($isX ? CutClass::Crosscut : CutClass::Rip), $axis, $size, $line, $left, $ways[0] ?? null, [...$needs, ...$heavy], $kg, $kerf));
            // Lighter cuts wait until the part can be pushed.
            $heavy = $isHeavy ? [$cut] : $heavy;
            $all[] = $cut;
            // A cut that nothing makes leaves the part as heavy as it was.
            $before -= $ways === [] ? 0 : $size + $kerf;
            $this->blank($slices[$i], $child, $isX ? $size : $x, $isX ? $y : $size, [$cut], $isSquare);
        }
        if ($last !== null) {
            $size = $sizes[$last] + $rest;
            $child = $this->freed($slices[$last], $axis, $isX ? $size : $x, $isX ? $y : $size, $blank);
            $this->last[$blank->id] = $child->id;
            $this->blank($slices[$last], $child, $child->x, $child->y, [...$needs, ...$all], $isSquare);
        }
    }

    /**
     * The slice that needs no cut of its own: a rough one that takes the rest, or the last one where nothing is left.
     *
     * @param  list<Slice>  $slices
     */
    private function lastOf(array $slices, Axis $axis, int $rest): ?int
    {
        $rough = array_filter($slices, fn (Slice $slice) => $slice->takesRest || ! $slice->isFinal($axis));
        uasort($rough, fn (Slice $a, Slice $b) => $b->size($axis) <=> $a->size($axis));

        return array_key_first($rough) ?? ($rest === 0 && count($slices) > 1 ? count($slices) - 1 : null);
    }

    /** A rough size goes up to one that is set anyway, where the rest allows. */
    private function snapped(string $axis, int $size, int $rest): int
    {
        $fits = array_filter($this->finals[$axis], fn (int $final) => $final >= $size && $final <= $size + $rest);

        return $fits === [] ? $size : min($fits);
    }

    private function freed(Slice $slice, Axis $axis, int $x, int $y, Part $blank): Part
    {
        $isPiece = $slice->axis === null;
        $isDone = $isPiece && $x === $slice->x && $y === $slice->y;
        $name = $isPiece ? $slice->pieces[0]->piece->name : null;
        $mark = $name ?? "$this->mark$this->sheet-".self::letters($this->letter++);

        return $this->part(self::id($isDone ? 'piece' : "$this->plan $axis->name", "$x × $y", ...self::names($slice)), $mark, $x, $y, $blank->id, $name, $isDone ? Fate::Piece : Fate::CutFurther);
    }

    private function part(string $id, string $mark, int $x, int $y, ?string $from, ?string $piece, Fate $fate): Part
    {
        // Alike pieces of one name are told apart by their turn.
        for ($n = 1, $own = $id; isset($this->parts[$own]); $n++) {
            $own = self::id($id, (string) $n);
        }

        return $this->parts[$own] = new Part($own, $mark, $x, $y, $this->kg($x, $y), $from, $this->sheet, $piece, $fate);
    }

    private function add(PlannedCut $cut): int
    {
        $this->cuts[] = $cut;

        return count($this->cuts) - 1;
    }

    private function kerf(): int
    {
        return $this->saw->kerf->nanometres();
    }

    private function kg(int $x, int $y): float
    {
        return $x * 1e-9 * $y * 1e-9 * $this->of->stock->thickness->nanometres() * 1e-9 * ($this->density)($this->of->stock->material);
    }

    /** @return list<string> */
    private static function names(Slice $slice): array
    {
        return array_map(fn ($placed) => $placed->piece->name, $slice->pieces);
    }

    /** a, b … z, aa, ab … */
    private static function letters(int $n): string
    {
        return ($n >= 26 ? self::letters(intdiv($n, 26) - 1) : '').chr(97 + $n % 26);
    }

    /** A name-based UUID (RFC 9562, version 5 in form) of what a part holds: it stays the same in another order and with other tools. */
    public static function id(string ...$of): string
    {
        $hash = substr(sha1(implode("\0", $of)), 0, 32);
        $hash[12] = '5';
        $hash[16] = dechex(8 | hexdec($hash[16]) & 3);

        return preg_replace('/^(.{8})(.{4})(.{4})(.{4})(.{12})$/', '$1-$2-$3-$4-$5', $hash) ?? $hash;
    }
}

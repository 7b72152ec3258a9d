<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Strength\Stack;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Room\WallKind;
use Incastro\Units\HungBox;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Where a box is screwed to its wall: through each of its nailers into the studs that lie between the ends of it, less an edge; never in a strip
 * that is kept free. A place there is left out where the nailer has another stud; a top nailer that has none left is a problem, never passed over.
 */
final readonly class Anchors
{
    /** A screw keeps so far from the end of its nailer, mm and inches. */
    private const END = [20.0, 3 / 4];

    /** Two screws in one stud of a hung box lie so far apart, mm. */
    private const APART = 40.0;

    /** Behind plaster or wallboard, mm and inches. */
    public const WALLBOARD = [12.5, 1 / 2];

    /** A head is let in by no more of what it goes through. */
    private const LET_IN = 0.4;

    /** Screws into masonry are no further apart, mm. */
    private const MASONRY = 500.0;

    /**
     * @param  list<ScrewPlace>  $places
     */
    private function __construct(public array $places, public ?string $problem)
    {
    }

    /**
     * @param  list<Placed>  $placed  of its run
     * @param  float  $wallboard  before the studs, mm
     */
    public static function of(Box $box, array $placed, RunFrame $frame, WallStuds $studs, KeptFree $free, Terms $terms, WallKind $wall, float $wallboard): self
    {
        $nailers = array_values(array_filter($placed, fn (Placed $one) => $one->owner === $box->id && $one->part === Part::Nailer));
        if ($nailers === []) {
            $nailers = array_values(array_filter($placed, fn (Placed $one) => $one->owner === $box->id && $one->part === Part::Back && $one->piece->thickness->toDouble() > 12.0));
        }
        $places = $problems = [];
        $highest = $nailers === [] ? 0.0 : max(array_map(fn (Placed $one) => $one->bounds->z1, $nailers));
        foreach ($nailers as $nailer) {
            $isTop = $nailer->bounds->z1 > $highest - 1.0;
            $made = self::inNailer($nailer, $isTop, $box, $frame, $studs, $free, $terms, $wall, $wallboard);
            array_push($places, ...$made[0]);
            $problems[] = $made[1];
        }

        return new self($places, array_values(array_filter($problems))[0] ?? null);
    }

    /** @return list<float> the studs that its top nailers are screwed to */
    public function studs(): array
    {
        return array_values(array_unique(array_map(fn (ScrewPlace $one) => $one->u, array_filter($this->places, fn (ScrewPlace $one) => $one->isTop && $one->isFound))));
    }

    /**
     * Middle lines of studs between the ends of a nailer, less an edge; mm.
     *
     * @param  list<float>  $found
     * @return list<float>
     */
    public static function between(float $from, float $to, array $found, float $end): array
    {
        return array_values(array_filter($found, fn (float $u) => $u >= $from + $end - 1e-9 && $u <= $to - $end + 1e-9));
    }

    /** @return array{list<ScrewPlace>, ?string} */
    private static function inNailer(Placed $nailer, bool $isTop, Box $box, RunFrame $frame, WallStuds $studs, KeptFree $free, Terms $terms, WallKind $wall, float $wallboard): array
    {
        $end = $terms->rules->either(...self::END)->toDouble();
        [$from, $to] = [$nailer->bounds->u0, $nailer->bounds->u1];
        $lines = $wall->hasStuds()
            ? [
                ...array_map(fn (float $u): array => ['u' => $u, 'from' => $u, 'to' => $u, 'isFound' => true], self::between($from, $to, $studs->found, $end)),
                ...array_map(fn (array $one): array => $one + ['isFound' => false], array_values(array_filter($studs->expected, fn (array $one) => self::between($from, $to, [$one['u']], $end) !== []))),
            ]
            : array_map(fn (float $u): array => ['u' => $u, 'from' => $u, 'to' => $u, 'isFound' => true], self::inMasonry($from + $end, $to - $end));
        $middle = ($nailer->bounds->z0 + $nailer->bounds->z1) / 2;
        $heights = $isTop && $box->has(HungBox::class) ? [$middle - self::APART / 2, $middle + self::APART / 2] : [$middle];
        $places = [];
        $kept = null;
        foreach ($lines as $line) {
            foreach ($heights as $z) {
                $why = $free->why($line['u'], $z);
                $kept ??= $why;
                if ($why === null) {
                    $places[] = self::place($nailer, $isTop, $line, $z, $box, $frame, $free, $terms, $wall, $wallboard);
                }
            }
        }
        if ($places !== [] || ! $isTop) {
            return [$places, null];
        }
        $mark = $nailer->piece->mark;

        return [[], match (true) {
            $kept !== null => sprintf('No screw of %s keeps clear of the strips of the %s: find another stud behind it, set the nailer lower, or have the cable or pipe moved. A top anchor is never left out.', $mark, $kept),
            $studs->found === [] => sprintf('Find studs behind %s first: none is noted on this wall.', $mark),
            default => sprintf('No stud lies behind %s: join the box to one that has one, or screw a batten across two studs behind it.', $mark),
        }];
    }

    /** @return list<float> */
    private static function inMasonry(float $from, float $to): array
    {
        $steps = max(1, (int) ceil(($to - $from) / self::MASONRY));

        return array_map(fn (int $i): float => $from + ($to - $from) * $i / $steps, range(0, $steps));
    }

    /** @param array{u: float, from: float, to: float, isFound: bool} $line */
    private static function place(Placed $nailer, bool $isTop, array $line, float $z, Box $box, RunFrame $frame, KeptFree $free, Terms $terms, WallKind $wall, float $wallboard): ScrewPlace
    {
        $packing = max(0.0, $box->v - $frame->backAt($line['u'], $z));
        $clad = max(0.0, $frame->backAt($line['u'], $z) - $frame->wallAt($line['u'], $z));
        $through = $nailer->bounds->v1 - $box->v;
        [$length, $words] = self::length($through, $packing, $wallboard, $wall, $terms->materials, $terms->format, $clad);
        $warning = $free->isNearEdge($line['u'], $z) ? 'Wiring may run so near a corner or the ceiling: detector first, then a fine pilot probe.' : null;

        return new ScrewPlace($nailer->piece->mark, $line['u'], $z, $isTop, $line['isFound'], $line['from'], $line['to'], $length, $packing, $words, $warning);
    }

    /**
     * The longest screw that is sold and holds, and how it came about; mm.
     *
     * @param  float  $clad  what lies on the wall before its board
     * @return array{?float, string}
     */
    public static function length(float $through, float $packing, float $wallboard, WallKind $wall, Catalogue $materials, LengthFormat $format, float $clad = 0.0): array
    {
        $say = fn (float $mm): string => $format->fine()->write(Length::ofDouble($mm));
        $before = $through + $packing + $clad + $wallboard;
        $parts = sprintf('%s nailer and back + %s packing%s + %s wallboard', $say($through), $say($packing), $clad > 0.0 ? " + {$say($clad)} that lie on the wall" : '', $say($wallboard));
        $stack = Stack::into($wall, $before, $format->unit);
        if ($stack === null) {
            return [null, sprintf('%s before the metal stud: a fixing that is rated for it; of its rating a quarter counts.', $say($before))];
        }
        $sold = array_map(fn (Length $one) => $one->toDouble(), $materials->lengths(ArticleKind::StrongScrew, $format->unit));
        $length = $stack->longest($sold);
        $where = $wall->hasStuds() ? 'stud' : 'masonry';
        if ($length !== null) {
            return [$length, sprintf('%s long: %s + %s in the %s.', $say($length), $parts, $say($length - $before), $where)];
        }
        $longer = array_filter($sold, fn (float $one) => $one > $stack->most);
        $shorter = array_filter($sold, fn (float $one) => $one < $stack->least);
        [$next, $last] = [min([INF, ...$longer]), max([0.0, ...$shorter])];
        [$pad, $let] = [$next - $stack->most, $stack->least - $last];

        return match (true) {
            $let <= min($pad, self::LET_IN * $through) => [$last, sprintf('%s long, its head let in by %s: %s + %s in the %s.', $say($last), $say($let), $parts, $say($stack->least - $before), $where)],
            $pad < INF => [$next, sprintf('%s long, a washer or thicker packing of %s: %s + %s in the %s.', $say($next), $say($pad), $parts, $say($stack->most - $before), $where)],
            default => [null, sprintf('%s: it takes %s to %s, and none that is sold is that long.', $parts, $say($stack->least), $say($stack->most))],
        };
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Check\Approach;
use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Members\Over;
use Incastro\Units\HungBox;

/**
 * Which box goes in before which: what another would block goes first, and what carries another (physics); then what hangs before what stands under it, the corner first and
 * the side that is closed by a filler last, the taller, from left to right (custom). Boxes that stand side by side are joined, and fixed as a group.
 */
final class BoxOrder
{
    /** Boxes no further apart are joined side by side, mm; and stand on each other where no more than a worktop lies between. */
    private const BESIDE = 3.0;

    private const ON = 60.0;

    /** They share so much of their height at least, mm. */
    private const SHARED = 50.0;

    /** @var array<string, array{FittedRun, Box}> by the box’s id */
    private array $boxes = [];

    /** @var array<string, list<string>> ids of the boxes that go in before, by id: physics alone */
    private array $before = [];

    /** @var array<string, string> the box on its left to which it is joined */
    private array $left = [];

    /** @var list<array{string, string}> neither goes in after the other */
    private array $neither = [];

    /** @param array<int, WallStuds> $studs by wall, as far as they are known */
    public function __construct(private readonly FittedLayout $layout, private readonly FittingWishes $wishes, private readonly array $studs = [])
    {
        foreach ($layout->runs as $run) {
            foreach ($run->boxes as $box) {
                $this->boxes[$box->id] = [$run, $box];
                $this->before[$box->id] = [];
            }
        }
        foreach ($layout->runs as $run) {
            foreach ($run->boxes as $box) {
                foreach ($run->boxes as $other) {
                    $this->pair($box, $other);
                }
            }
        }
        foreach (array_keys($this->boxes) as $id) {
            // What stands on a top waits for all that carries it.
            array_push($this->before[$id], ...array_merge([], ...array_map(fn (Over $top) => $this->carrying($id, $top), $this->topsUnder((string) $id))));
        }
        $this->paths();
    }

    /** @return list<string> ids of the boxes under a top */
    private function carrying(string $box, Over $top): array
    {
        $run = $this->boxes[$box][0];
        $under = array_filter($run->boxes, fn (Box $one) => $one->highest() <= $top->z + 1.0 && min($top->end(), $one->right()) - max($top->u, $one->u) > self::BESIDE);

        return array_map(fn (Box $one) => $one->id, array_values($under));
    }

    /** @return list<array{Box, Box}> boxes of which neither goes in after the other */
    public function neither(): array
    {
        return array_map(fn (array $pair) => [$this->boxes[$pair[0]][1], $this->boxes[$pair[1]][1]], $this->neither);
    }

    /** @return list<string> ids of boxes that stand in before this one, because it would block them or stands on them */
    public function before(string $box): array
    {
        return $this->before[$box];
    }

    /** The box on its left to which it is joined. */
    public function joinedTo(string $box): ?string
    {
        return $this->left[$box] ?? null;
    }

    /** @return non-empty-list<Box> all that are joined to this one, from the left */
    public function group(string $box): array
    {
        $first = $box;
        while (isset($this->left[$first])) {
            $first = $this->left[$first];
        }
        $group = [$this->boxes[$first][1]];
        $open = [$first];
        while ($open !== []) {
            $from = array_shift($open);
            foreach (array_keys($this->left, $from, true) as $next) {
                $group[] = $this->boxes[$next][1];
                $open[] = $next;
            }
        }

        return $group;
    }

    /** @return list<string> ids of all boxes as they go in */
    public function sequence(): array
    {
        $rank = $this->rank();
        $sequence = [];
        $open = $rank;
        while ($open !== []) {
            $next = null;
            foreach (array_keys($open) as $id) {
                if (array_intersect($this->waits($id), array_keys($open)) === []) {
                    $next = $id;
                    break;
                }
            }
            // Neither goes in after the other: that is said elsewhere, and one of them is first here.
            $next ??= (string) array_key_first($open);
            $sequence[] = $next;
            unset($open[$next]);
        }

        return $sequence;
    }

    /** @return list<string> */
    private function waits(string $box): array
    {
        $wished = array_filter($this->wishes->before, fn (array $wish) => $wish[1] === FittingTask::id(TaskKind::BoxIn, $box));

        return [...$this->before[$box], ...array_map(fn (array $wish) => substr($wish[0], strlen(TaskKind::BoxIn->value) + 1), array_values($wished))];
    }

    /** @return array<string, int> ids in the order of custom */
    private function rank(): array
    {
        $ids = array_keys($this->boxes);
        $run = fn (string $id): int => (int) array_search($this->boxes[$id][0], $this->layout->runs, true);
        usort($ids, function (string $one, string $other) use ($run): int {
            [$a, $b] = [$this->boxes[$one][1], $this->boxes[$other][1]];

            return [$run($one), ! $a->has(HungBox::class), ! $this->reachesStud($one), $this->corner($one), -round($a->highest() - $a->z), $a->u, $one] <=> [$run($other), ! $b->has(HungBox::class), ! $this->reachesStud($other), $this->corner($other), -round($b->highest() - $b->z), $b->u, $other];
        });

        return array_flip($ids);
    }

    /** Whether a known stud lies behind it; true of all where none is known: what has one holds what has none. */
    private function reachesStud(string $id): bool
    {
        [$run, $box] = $this->boxes[$id];
        $found = $this->studs[$run->frame->wall]->found ?? [];

        return $found === [] || array_filter($found, fn (float $u) => $u > $box->u + self::BESIDE && $u < $box->right() - self::BESIDE) !== [];
    }

    /** 0 in a corner, 2 where a filler, a trim or a shadow gap closes its side, else 1. */
    private function corner(string $id): int
    {
        [$run, $box] = $this->boxes[$id];
        $corner = 1;
        foreach ([Side::Left, Side::Right] as $side) {
            $closing = $run->edge($side, $box->id)?->closing;
            $corner = match (true) {
                $closing === null || $run->frame->isOpen($side->value) => $corner,
                in_array($closing, [Closing::Filler, Closing::Trim, Closing::ShadowGap], true) => 2,
                default => min($corner, 0),
            };
        }

        return $corner;
    }

    /** What two boxes of one run are to each other. */
    private function pair(Box $box, Box $other): void
    {
        if ($box === $other) {
            return;
        }
        $isBeside = abs($other->right() - $box->u) < self::BESIDE && min($box->highest(), $other->highest()) - max($box->z, $other->z) > self::SHARED;
        if ($isBeside && ! isset($this->left[$box->id])) {
            $this->left[$box->id] = $other->id;
        }
        $isOver = min($box->right(), $other->right()) - max($box->u, $other->u) > self::BESIDE && $box->z >= $other->highest() - 1.0 && $box->z - $other->highest() < self::ON;
        if ($isOver && ! $box->has(HungBox::class)) {
            $this->before[$box->id][] = $other->id;
        }
    }

    /** What would be met on the way. */
    private function paths(): void
    {
        $ways = array_map(fn (array $one) => Approach::of($one[1], $one[0]->frame), $this->boxes);
        $ids = array_keys($this->boxes);
        foreach ($ids as $i => $one) {
            foreach (array_slice($ids, $i + 1) as $other) {
                $isMet = fn (string $by, string $there, bool $always): bool => $ways[$by]->meets($this->boxes[$there][1], $this->boxes[$there][0]->frame, $always);
                [$first, $second] = [$isMet($one, $other, false), $isMet($other, $one, false)];
                if ($first !== $second) {
                    $this->before[$first ? $other : $one][] = (string) ($first ? $one : $other);
                } elseif ($first && $isMet($one, $other, true) && $isMet($other, $one, true)) {
                    $this->neither[] = [$one, $other];
                }
            }
        }
    }

    /** @return list<Over> tops that lie between a box and those that it stands on */
    public function topsUnder(string $box): array
    {
        [$run, $its] = $this->boxes[$box];

        return array_values(array_filter($run->over(), fn (Over $over) => abs($over->top - $its->z) < self::BESIDE && min($over->end(), $its->right()) - max($over->u, $its->u) > self::BESIDE));
    }
}

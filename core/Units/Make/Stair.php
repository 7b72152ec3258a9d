<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Members\Over;
use Incastro\Units\Sites\MemberSite;

/** The treads of a stair of boxes one after another as they are climbed, and the height that they climb to. */
final readonly class Stair
{
    /** Treads that stand farther apart are not climbed from one to the other, mm. */
    private const BESIDE = 60.0;

    /** @var list<Over> from the lowest */
    public array $treads;

    /** Whether one climbs from the left to the right. */
    public bool $isToRight;

    /** Over the datum, mm: the upper side of what stands beside the last tread; null where nothing does. */
    private ?float $upTo;

    /** @param Over $of one of them */
    public function __construct(private MemberSite $site, Over $of)
    {
        $id = $of->memberId();
        $treads = array_values(array_filter($site->run->over(), fn (Over $over) => $over->memberId() === $id));
        usort($treads, fn (Over $a, Over $b) => $a->u <=> $b->u);
        [$first, $last] = [$treads[0], $treads[count($treads) - 1]];
        [$left, $right] = [$this->beside($first, true), $this->beside($last, false)];
        $this->isToRight = count($treads) > 1 ? $last->z > $first->z : ($right ?? 0.0) >= ($left ?? 0.0);
        $this->treads = $this->isToRight ? $treads : array_reverse($treads);
        $this->upTo = $this->isToRight ? $right : $left;
    }

    /** The upper side of what lies beside an end, higher than it. */
    private function beside(Over $end, bool $isLeft): ?float
    {
        $tops = [];
        foreach ($this->site->run->over() as $over) {
            $apart = $isLeft ? $end->u - $over->end() : $over->u - $end->end();
            if (abs($apart) < self::BESIDE && $over->z > $end->z && $over->memberId() !== $end->memberId()) {
                $tops[] = $over->top;
            }
        }

        return $tops === [] ? null : max($tops);
    }

    /** From the floor before the first step, mm; null where it leads to nothing. */
    public function climbs(): ?float
    {
        return $this->upTo === null ? null : $this->upTo - $this->floor();
    }

    /** The floor that one climbs from, over the datum, mm. */
    private function floor(): float
    {
        $first = $this->treads[0];

        return $this->site->run->frame->floorAt($this->isToRight ? $first->u : $first->end(), $first->front());
    }

    /** Of the tread after so many others over the floor that one climbs from, mm. */
    public function height(int $step): float
    {
        return $this->top($step) - $this->floor();
    }

    /** The upper side of the tread after so many others, over the datum, mm. */
    public function top(int $step): float
    {
        return $this->treads[$step]->top;
    }

    /** How many came before it. */
    public function step(Over $tread): int
    {
        return (int) array_search($tread->id, array_map(fn (Over $other) => $other->id, $this->treads), true);
    }
}

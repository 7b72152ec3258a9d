<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Measure\Length;

/**
 * Furniture along one wall, divided into bays from left to right. Null sizes are "as large as goes in". It may begin and end beside what
 * stands before the wall: `from` and `to` are the ids of those.
 */
final readonly class Run
{
    /** @param list<Bay> $bays */
    public function __construct(
        public string $id,
        public int $wall,
        public array $bays,
        public ?Length $height = null,
        public ?Length $depth = null,
        public RunEnd $left = RunEnd::Through,
        public RunEnd $right = RunEnd::Through,
        public ?string $from = null,
        public ?string $to = null,
    ) {
    }

    /**
     * Its bays by the boards they share: each group is one bay, or several with one board between each two of them.
     *
     * @return list<non-empty-list<Bay>>
     */
    public function groups(): array
    {
        $groups = [];
        $group = [];
        foreach ($this->bays as $i => $bay) {
            if ($group !== [] && ! $this->isShared($i)) {
                $groups[] = $group;
                $group = [];
            }
            $group[] = $bay;
        }

        return $group === [] ? [] : [...$groups, $group];
    }

    /** Whether a bay shares a board with the one to its left: it must want to, and both must be cut alike. */
    public function isShared(int $bay): bool
    {
        return $this->bays[$bay]->joined && $this->bays[$bay - 1]->isAllBoxes() && $this->bays[$bay]->isAllBoxes()
            && count($this->bays[$bay - 1]->stacks()) === count($this->bays[$bay]->stacks());
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;
use Incastro\Strength\Bearing;

/** What a unit is built of: pieces placed in space, how they are joined, hardware, and decided inner sizes with their workings. */
final readonly class Assembly
{
    /**
     * @param  list<Placed>  $placed
     * @param  list<Joint>  $joints
     * @param  list<Hardware>  $hardware
     * @param  array<string, Working>  $decisions  by name: sizes that are set out rather than cut, such as shelf spacing
     * @param  list<Finding>  $findings
     * @param  list<Movement>  $movements  what of it moves in use, and where it goes
     * @param  list<Fixture>  $fixtures  what is bought and takes up room
     * @param  list<SizeUse>  $uses  what sizes of its pieces are good for
     * @param  list<Bearing>  $bearings  boards that may sag under what lies on them
     */
    public function __construct(
        public array $placed,
        public array $joints = [],
        public array $hardware = [],
        public array $decisions = [],
        public array $findings = [],
        public array $movements = [],
        public array $fixtures = [],
        public array $uses = [],
        public array $bearings = [],
    ) {
    }

    /** @return list<Piece> */
    public function pieces(): array
    {
        return array_map(fn (Placed $placed) => $placed->piece, $this->placed);
    }

    /** What the marks of an owner's pieces begin with: "T1" of "T1-shelf-2"; null where it has none. */
    public function markOf(string $owner): ?string
    {
        foreach ($this->placed as $placed) {
            if ($placed->owner === $owner) {
                return explode('-', $placed->piece->mark)[0];
            }
        }

        return null;
    }

    /** @return array<string, Placed> */
    public function byKey(): array
    {
        $byKey = [];
        foreach ($this->placed as $placed) {
            $byKey[$placed->piece->key] = $placed;
        }

        return $byKey;
    }

    /** @return array<string, true> keys of the pieces that move in use */
    public function moving(): array
    {
        return array_fill_keys(array_merge([], ...array_map(fn (Movement $one) => $one->moving, $this->movements)), true);
    }

    /** @return list<Movement> what moves of a box or of one of its cells */
    public function movementsOf(Box $box): array
    {
        return array_values(array_filter($this->movements, fn (Movement $one) => $box->id === $one->tier || $box->holds($one->tier)));
    }

    /** @return array<string, float> how deep two pieces may stand in each other, mm, by both their keys ("a|b", and "b|a") */
    public function grants(): array
    {
        $grants = [];
        foreach ($this->joints as $joint) {
            if ($joint->shares > 0.0) {
                $grants[$joint->a.'|'.$joint->b] = $grants[$joint->b.'|'.$joint->a] = $joint->shares;
            }
        }

        return $grants;
    }

    /**
     * The same with its pieces placed or cut otherwise, and joined as they then are.
     *
     * @param  list<Placed>  $placed
     * @param  list<Joint>  $joints
     */
    public function placing(array $placed, array $joints): self
    {
        return new self($placed, $joints, $this->hardware, $this->decisions, $this->findings, $this->movements, $this->fixtures, $this->uses, $this->bearings);
    }

    /** The same with something to be said of it. */
    public function finding(Finding $finding): self
    {
        return new self($this->placed, $this->joints, $this->hardware, $this->decisions, [...$this->findings, $finding], $this->movements, $this->fixtures, $this->uses, $this->bearings);
    }

    /** @param list<Hardware> $hardware */
    public function bought(array $hardware): self
    {
        return new self($this->placed, $this->joints, [...$this->hardware, ...$hardware], $this->decisions, $this->findings, $this->movements, $this->fixtures, $this->uses, $this->bearings);
    }

    public static function all(self ...$assemblies): self
    {
        $parts = [[], [], [], [], [], [], [], [], []];
        foreach ($assemblies as $one) {
            array_push($parts[0], ...$one->placed);
            array_push($parts[1], ...$one->joints);
            array_push($parts[2], ...$one->hardware);
            $parts[3] += $one->decisions;
            array_push($parts[4], ...$one->findings);
            array_push($parts[5], ...$one->movements);
            array_push($parts[6], ...$one->fixtures);
            array_push($parts[7], ...$one->uses);
            array_push($parts[8], ...$one->bearings);
        }

        return new self(...$parts);
    }
}

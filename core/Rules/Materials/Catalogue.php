<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/** The materials of a job, and which of them serves each purpose. */
final readonly class Catalogue
{
    public Material $carcass;

    public Material $frame;

    public Material $back;

    /**
     * @param  non-empty-list<Material>  $all
     * @param  array<string, string>  $uses  ids of materials by purpose
     *
     * @throws \LogicException where nothing serves a purpose that falls back to no other
     */
    public function __construct(public array $all, private array $uses)
    {
        $this->carcass = $this->for(Purpose::Carcass);
        $this->frame = $this->for(Purpose::Frame);
        $this->back = $this->for(Purpose::Back);
    }

    public function find(string $id): ?Material
    {
        foreach ($this->all as $material) {
            if ($material->id === $id) {
                return $material;
            }
        }

        return null;
    }

    /** The same with one purpose served otherwise; with an id that is not among them as it was. */
    public function using(Purpose $purpose, ?string $id): self
    {
        return $id === null || $this->find($id) === null ? $this : new self($this->all, [$purpose->value => $id] + $this->uses);
    }

    /** What serves a purpose, by itself or by what it falls back to. */
    public function for(Purpose $purpose): Material
    {
        $own = isset($this->uses[$purpose->value]) ? $this->find($this->uses[$purpose->value]) : null;
        $other = $purpose->fallsBackTo();

        return $own ?? ($other === null ? throw new \LogicException("Nothing serves $purpose->value.") : $this->for($other));
    }
}

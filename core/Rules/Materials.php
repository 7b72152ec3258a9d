<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** The materials of a job, one for each role. */
final readonly class Materials
{
    public function __construct(public Material $carcass, public Material $frame, public Material $back)
    {
    }

    public function of(MaterialRole $role): Material
    {
        return match ($role) {
            MaterialRole::Carcass => $this->carcass,
            MaterialRole::Frame => $this->frame,
            MaterialRole::Back => $this->back,
        };
    }

    /** @return list<Material> */
    public function all(): array
    {
        return [$this->carcass, $this->frame, $this->back];
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;

/** What a kind of unit is called: in documents, and to a person. `version` rises when its parameters change their meaning. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class About
{
    /**
     * @param  string  $group  under which it is offered
     * @param  ?string  $mark  the letter that its pieces bear where it is an owner of its own
     * @param  bool  $isCommon  whether most people look for it: it is offered before the others
     */
    public function __construct(public string $kind, public string $label, public string $hint, public string $group, public ?string $mark = null, public int $version = 1, public bool $isCommon = false)
    {
    }
}

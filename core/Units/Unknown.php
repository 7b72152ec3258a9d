<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Standing;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Text;
use Incastro\Units\Sites\CellSite;

/** What a newer document holds, and this edition does not know: nothing is built, a clash says so, the document keeps it. */
#[About('unknown', 'Something that this edition does not know', 'It came from a newer document and is kept as it is.', 'Other')]
final readonly class Unknown implements CellUnit
{
    public function __construct(#[Text('Kind', '')] public string $kind)
    {
    }

    public function standing(): Standing
    {
        return Standing::Nothing;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return CellDemand::none();
    }

    public function build(CellSite $site): Assembly
    {
        return new Assembly([]);
    }
}

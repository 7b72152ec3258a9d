<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Schools\School;

/** One of a few words. Of a school: usually the one that the job follows. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Choice extends Parameter
{
    public function __construct(string $label, public Choosable $usual, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'choice';
    }

    public function usual(HouseRules $rules): Choosable
    {
        return $this->usual instanceof School ? $rules->schools->followed($this->usual) : $this->usual;
    }

    public function stored(mixed $given, LengthFormat $format): string
    {
        $case = is_string($given) ? $this->usual::tryFrom($given) : null;
        if ($case === null) {
            throw new Unreadable(sprintf('“%s” is not one of %s.', is_scalar($given) ? (string) $given : 'that', implode(', ', array_column($this->usual::cases(), 'value'))));
        }

        return (string) $case->value;
    }

    public function value(mixed $stored): mixed
    {
        return is_string($stored) ? $this->usual::from($stored) : $stored;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return $value instanceof Choosable ? ['value' => $value->value, 'text' => $value->label()] : ['value' => null, 'text' => ''];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['choices' => array_map(fn (\BackedEnum $case) => ['value' => $case->value, 'label' => $case instanceof Choosable ? $case->label() : (string) $case->value], $this->usual::cases())];
    }
}

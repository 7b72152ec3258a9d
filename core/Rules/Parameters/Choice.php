<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Schools\School;

/** One of a few words, but for those that mean nothing here. Of a school: usually the one that the job follows. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Choice extends Parameter
{
    /** @param list<Choosable> $without */
    public function __construct(string $label, public Choosable $usual, string $help = '', private array $without = [])
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'choice';
    }

    public function usual(HouseRules $rules): Choosable
    {
        $followed = $this->usual instanceof School ? $rules->schools->followed($this->usual) : $this->usual;

        return in_array($followed, $this->without, true) ? $this->usual : $followed;
    }

    public function stored(mixed $given, LengthFormat $format): string
    {
        $case = is_string($given) ? $this->usual::tryFrom($given) : null;
        if ($case === null || ! in_array($case, $this->cases(), true)) {
            throw new Unreadable(sprintf('“%s” is not one of %s.', is_scalar($given) ? (string) $given : 'that', implode(', ', array_column($this->cases(), 'value'))));
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
        return ['choices' => array_map(fn (\BackedEnum $case) => ['value' => $case->value, 'label' => $case instanceof Choosable ? $case->label() : (string) $case->value], $this->cases())];
    }

    /** @return list<\BackedEnum> */
    private function cases(): array
    {
        return array_values(array_filter($this->usual::cases(), fn (\BackedEnum $case) => ! in_array($case, $this->without, true)));
    }
}

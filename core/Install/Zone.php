<?php

declare(strict_types=1);

namespace Incastro\Install;

/** The clocks of a place: moments are seconds of the epoch everywhere else, so that a change of the clock shifts no drying. */
final readonly class Zone
{
    private const LOCAL = 'Y-m-d H:i';

    private function __construct(private \DateTimeZone $zone)
    {
    }

    /** Null where there is none of that name. */
    public static function named(string $name): ?self
    {
        return in_array($name, \DateTimeZone::listIdentifiers(), true) ? new self(timezone_open($name) ?: throw new \LogicException("$name is among the zones.")) : null;
    }

    /** A moment as people of that place write it: "2027-03-06 09:00". */
    public function local(int $moment): string
    {
        return $this->as($moment, self::LOCAL);
    }

    /** "Saturday 6 March". */
    public function day(int $moment): string
    {
        return $this->as($moment, 'l j F');
    }

    /** "9:00". */
    public function hour(int $moment): string
    {
        return $this->as($moment, 'G:i');
    }

    /** Seconds by which its clocks go before UTC. */
    public function offset(int $moment): int
    {
        return $this->at($moment)->getOffset();
    }

    /** The moment of a day and an hour as they are written there; null where that is none. */
    public function moment(string $text): ?int
    {
        $given = str_replace('T', ' ', $text);
        $at = \DateTimeImmutable::createFromFormat('!'.self::LOCAL, $given, $this->zone);

        return $at === false || $at->format(self::LOCAL) !== $given ? null : $at->getTimestamp();
    }

    /** So many days later at the same hour of its clocks. */
    public function later(int $moment, int $days): int
    {
        return $this->at($moment)->modify("+$days days")->getTimestamp();
    }

    /** 1 is Monday. */
    public function weekday(int $moment): int
    {
        return (int) $this->as($moment, 'N');
    }

    private function as(int $moment, string $form): string
    {
        return $this->at($moment)->format($form);
    }

    private function at(int $moment): \DateTimeImmutable
    {
        $at = \DateTimeImmutable::createFromFormat('U', (string) $moment);

        return ($at === false ? throw new \LogicException('A moment is a number.') : $at)->setTimezone($this->zone);
    }
}

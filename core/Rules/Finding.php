<?php

declare(strict_types=1);

namespace Incastro\Rules;

/**
 * Something that the person should know: what, how grave, where, and ways out.
 *
 * `code` names the rule that found it; `place` is the reference of what it is about (a slot, an edge, a piece), `related`
 * those of others that it is about too.
 */
final readonly class Finding
{
    /**
     * @param  list<WayOut>  $waysOut
     * @param  list<string>  $related
     */
    public function __construct(
        public Code $code,
        public Severity $severity,
        public string $sentence,
        public string $place,
        public array $waysOut = [],
        public array $related = [],
    ) {
    }

    public static function clash(Code $code, string $sentence, string $place): self
    {
        return new self($code, Severity::Clash, $sentence, $place);
    }

    /** @param list<string> $related */
    public static function warning(Code $code, string $sentence, string $place, array $related = []): self
    {
        return new self($code, Severity::Warning, $sentence, $place, [], $related);
    }

    public static function note(Code $code, string $sentence, string $place): self
    {
        return new self($code, Severity::Note, $sentence, $place);
    }

    /**
     * The same, which is about others too.
     *
     * @param  list<string>  $related
     */
    public function about(array $related): self
    {
        return new self($this->code, $this->severity, $this->sentence, $this->place, $this->waysOut, $related);
    }

    /** @param list<WayOut> $waysOut */
    public function withWaysOut(array $waysOut): self
    {
        return new self($this->code, $this->severity, $this->sentence, $this->place, $waysOut, $this->related);
    }
}

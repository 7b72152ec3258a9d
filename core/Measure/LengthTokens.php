<?php

declare(strict_types=1);

namespace Incastro\Measure;

/**
 * The tokens of a typed length, with one look ahead. Typographic signs are taken for the plain ones.
 *
 * Kinds: `number` (digits with at most one separator), `unit`, `sign` (one of + - * / ( )). A token knows whether
 * white space stood before it, because `31-5/8` is a mixed number and `31 - 5/8` a difference.
 */
final class LengthTokens
{
    private const SIGNS = [
        "\u{2032}" => "'", "\u{2019}" => "'", "\u{2018}" => "'", "\u{00B4}" => "'", '`' => "'",
        "\u{2033}" => '"', "\u{201C}" => '"', "\u{201D}" => '"', "''" => '"',
        "\u{00D7}" => '*', "\u{00B7}" => '*', "\u{2212}" => '-', "\u{2013}" => '-', "\u{2044}" => '/',
        "\u{00A0}" => ' ', "\u{202F}" => ' ', "\u{2009}" => ' ',
        '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8',
        '⅓' => ' 1/3', '⅔' => ' 2/3',
    ];

    /** @var list<array{kind: string, text: string, spaced: bool}> */
    private array $tokens = [];

    private int $at = 0;

    public readonly string $typed;

    /** @throws Unreadable on a character that means nothing in a length */
    public function __construct(string $typed)
    {
        $this->typed = trim($typed);
        $rest = str_replace("''", '"', strtr($this->typed, self::SIGNS));
        while ($rest !== '') {
            if (preg_match('/^\s+/u', $rest, $found)) {
                $spaced = true;
            } elseif (preg_match('/^(?:\d+(?:[.,]\d*)*|[.,]\d+)/', $rest, $found)) {
                $this->tokens[] = ['kind' => 'number', 'text' => $found[0], 'spaced' => $spaced ?? false];
                $spaced = false;
            } elseif (preg_match('/^[+\-*\/()]/', $rest, $found) || preg_match('/^[xX](?=\s*[\d(.,])/', $rest, $found)) {
                $sign = strtolower($found[0]) === 'x' ? '*' : $found[0];
                $this->tokens[] = ['kind' => 'sign', 'text' => $sign, 'spaced' => $spaced ?? false];
                $spaced = false;
            } elseif (preg_match('/^(?:[a-zA-Z]+|[\'"])\.?/', $rest, $found) && Unit::ofWord(rtrim($found[0], '.')) !== null) {
                $this->tokens[] = ['kind' => 'unit', 'text' => rtrim($found[0], '.'), 'spaced' => $spaced ?? false];
                $spaced = false;
            } else {
                preg_match('/^(?:\p{L}+|.)/us', $rest, $found);
                throw new Unreadable(sprintf('“%s” in “%s” is not known. Type numbers, fractions, + − × and units (mm, cm, m, in, ft).', $found[0] ?? '?', $this->typed));
            }
            $rest = substr($rest, strlen($found[0]));
        }
    }

    public function next(int $ahead = 0): ?string
    {
        return $this->tokens[$this->at + $ahead]['text'] ?? null;
    }

    public function isKind(string $kind, int $ahead = 0): bool
    {
        return ($this->tokens[$this->at + $ahead]['kind'] ?? null) === $kind;
    }

    public function isSign(string $sign, int $ahead = 0): bool
    {
        return $this->isKind('sign', $ahead) && $this->next($ahead) === $sign;
    }

    /** Whether the token stands close to the one before it. */
    public function isClose(int $ahead = 0): bool
    {
        return isset($this->tokens[$this->at + $ahead]) && ! $this->tokens[$this->at + $ahead]['spaced'];
    }

    public function take(): string
    {
        return $this->tokens[$this->at++]['text'];
    }
}

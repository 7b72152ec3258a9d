<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Edit;
use Incastro\Rules\Materials\Article;
use Incastro\Rules\Materials\ArticleKind;

/** Edits of what a job buys by the piece, `articles.ID.price` and its like. */
final class ArticleChoices
{
    private const MOST = 200;

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        return (new EntryList('articles', 'something bought by the piece', ['article', 'length', 'load', 'pack', 'price'], fn (string $name) => match ($name) {
            'article' => Field::oneOf('What it is', array_column(ArticleKind::cases(), 'value')),
            'length' => Field::length('Length', $format, Length::ofMillimetres(5), Length::ofMillimetres(8000))->orComputed(),
            'load' => Field::number('What a pair carries, kg', 1, 500)->orComputed(),
            'pack' => Field::whole('How many are in a pack', 1, 10_000),
            'price' => Field::number('Price of a pack', 0, 100_000)->orComputed(),
            default => null,
        }, self::MOST, self::fault(...)))->apply($document, $edit);
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return array{string, string}|null
     */
    private static function fault(array $entry): ?array
    {
        $kind = ArticleKind::from($entry['article']);

        return match (true) {
            $kind->hasLength() && $entry['length'] === null => ['length', sprintf('%s: it is chosen by its length. Type it as it is sold.', $kind->label())],
            ! $kind->hasLength() && $entry['length'] !== null => ['length', sprintf('%s: it has no length to choose by.', $kind->label())],
            ! $kind->hasLoad() && $entry['load'] !== null => ['load', sprintf('%s: it is not chosen by what it carries.', $kind->label())],
            default => null,
        };
    }

    /**
     * @param  list<array<string, mixed>>  $entries
     * @return list<Article>
     */
    public static function read(array $entries): array
    {
        return array_map(fn (array $entry) => new Article(
            $entry['id'],
            ArticleKind::from($entry['article']),
            $entry['length'] === null ? null : Length::ofNanometres($entry['length']['nm']),
            $entry['load'] === null ? null : (float) $entry['load'],
            $entry['pack'],
            $entry['price'] === null ? null : (float) $entry['price'],
        ), $entries);
    }
}

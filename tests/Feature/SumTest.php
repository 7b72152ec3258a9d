<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\AlcoveTestCase;

/** Quick sums over the API: for whoever is signed in, without a job. */
final class SumTest extends AlcoveTestCase
{
    public function test_all_are_offered_with_their_fields_and_the_drawing_of_an_example(): void
    {
        $sums = $this->getJson('/api/sums?measure=in/16')->assertOk()->json();
        self::assertSame(['spacing', 'divide', 'mitre', 'boards', 'square', 'slope', 'circle', 'screw', 'drawer', 'doors', 'weight', 'paint', 'tape'], array_column($sums, 'name'));
        self::assertSame('74 3/4 in', $sums[0]['parameters'][0]['default_text']);
        self::assertContains('slats', array_column($sums[0]['drawing']['layers'], 'name'));
        $this->getJson('/api/sums?measure=yd/3')->assertStatus(422)->assertJsonValidationErrors('measure');
    }

    public function test_one_is_worked_out_from_its_address_or_refused_by_field(): void
    {
        $sum = $this->getJson('/api/sums/doors?width=1127&height=1890&measure=mm/1')->assertOk();
        // (1127 − 2·2.5 − 3)/2 = 559.5; 1890 − 5 = 1885.
        self::assertSame(['559.5 mm', '1885 mm', '4'], array_column($sum->json('answers'), 'text'));
        self::assertSame(['1127 mm', '2.5 mm', '3 mm', '559.5 mm'], array_column(array_column($sum->json('answers.0.working.steps'), 'value'), 'text'));
        $this->getJson('/api/sums/spacing?length=1900&width=140&count=15')->assertStatus(422)->assertJsonPath('errors.count.0', '15 slats of 140 mm need 2100 mm; there are 1900 mm. 13 fit.');
        $this->getJson('/api/sums/spacing?length=x&gap=-3')->assertStatus(422)->assertJsonValidationErrors(['length', 'gap']);
        $this->getJson('/api/sums/spacing?length[]=3')->assertStatus(422)->assertJsonValidationErrors('length');
        $this->getJson('/api/sums/halve')->assertNotFound();
    }

    public function test_a_card_is_printed_for_what_was_typed(): void
    {
        foreach (['doors?width=1127', 'mitre?of=crown', 'spacing?measure=in/16', 'paint', 'drawer?bottom=under'] as $sum) {
            [$name, $query] = [...explode('?', $sum), ''];
            $card = $this->get("/api/sums/$name/card.pdf?$query")->assertOk()->assertHeader('Content-Type', 'application/pdf');
            self::assertStringStartsWith('%PDF-', (string) $card->getContent());
            self::assertSame(1, preg_match_all('~/Type /Page\b(?!s)~', (string) $card->getContent()), $sum);
        }
        $this->getJson('/api/sums/doors/card.pdf?width=x')->assertStatus(422)->assertJsonValidationErrors('width');
    }

    public function test_nobody_else_is_answered(): void
    {
        $this->app?->make('auth')->forgetGuards();
        $this->getJson('/api/sums')->assertUnauthorized();
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** The page around the application. */
final class ShellTest extends TestCase
{
    public function test_every_page_is_the_same_shell_and_sets_no_cookie(): void
    {
        $first = $this->get('/')->assertOk();
        $other = $this->get('/jobs/anything/measure')->assertOk();
        self::assertSame($first->getContent(), $other->getContent());
        self::assertSame([], $first->headers->getCookies());
        self::assertStringContainsString('<div id="app">', (string) $first->getContent());
    }

    public function test_the_api_begins_a_session_for_its_own_pages(): void
    {
        $names = array_map(fn ($cookie) => $cookie->getName(), $this->getJson('/api/session')->assertOk()->headers->getCookies());
        self::assertContains('XSRF-TOKEN', $names);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Faults;

use GuzzleHttp\Client as Http;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\TransferException;

/** Somebody at a browser of their own, as far as the API goes: signed in to the running application, with one job. */
final class Client
{
    public string $job = '';

    public string $space = '';

    public string $run = '';

    public string $home = '';

    private static int $many = 0;

    private readonly CookieJar $cookies;

    private readonly Http $http;

    public function __construct(private readonly string $base)
    {
        $this->cookies = new CookieJar();
        $this->http = new Http(['base_uri' => $base, 'cookies' => $this->cookies, 'http_errors' => false, 'timeout' => 15, 'connect_timeout' => 2,
            // Each from an address of their own: so many from one would be asked to wait.
            'curl' => [CURLOPT_INTERFACE => '127.0.1.'.(1 + self::$many++ % 250)],
        ]);
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, array<array-key, mixed>} status and answer; status 0 where nothing answered, or no whole answer came
     */
    public function ask(string $method, string $path, ?array $body = null, ?string $file = null): array
    {
        $token = $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        $options = ['headers' => ['Accept' => 'application/json', 'Origin' => $this->base, 'X-Requested-With' => 'XMLHttpRequest', 'X-XSRF-TOKEN' => rawurldecode($token)]];
        if ($file !== null) {
            $options['multipart'] = [['name' => 'file', 'contents' => $file, 'filename' => 'job.json']];
        } elseif ($body !== null) {
            $options['json'] = $body;
        }
        try {
            $answer = $this->http->request($method, $path, $options);
        } catch (TransferException) {
            return [0, []];
        }

        return [$answer->getStatusCode(), json_decode((string) $answer->getBody(), true) ?? []];
    }

    /** Makes an account, with the landing alcove in its home. */
    public function arrive(): self
    {
        $this->ask('GET', '/api/session');
        $this->ask('POST', '/api/account', ['name' => 'Somebody', 'email' => bin2hex(random_bytes(8)).'@example.org', 'password' => 'oak tape lintel']);
        $this->home = $this->ask('GET', '/api/homes')[1][0]['id'];
        $this->job = $this->ask('POST', "/api/homes/$this->home/import", null, (string) file_get_contents(__DIR__.'/../examples/landing-alcove-without-doors.json'))[1]['id'];
        $space = $this->ask('GET', "/api/jobs/$this->job?station=measure")[1]['job']['spaces'][0];
        $this->space = $space['id'];
        $this->run = $space['choices']['layout']['runs'][0]['id'];

        return $this;
    }

    /** Another browser at the same account. */
    public function twin(): self
    {
        $twin = new self($this->base);
        foreach ($this->cookies as $cookie) {
            $twin->cookies->setCookie(clone $cookie);
        }
        [$twin->job, $twin->space, $twin->run, $twin->home] = [$this->job, $this->space, $this->run, $this->home];

        return $twin;
    }

    /** @return array{string, int} the id of a new take, and the status it was answered with */
    public function read(string $id = ''): array
    {
        $id = $id ?: self::uuid();

        return [$id, $this->ask('POST', "/api/spaces/$this->space/facts", ['station' => 'measure', 'facts' => [[
            'id' => $id, 'device' => self::uuid(), 'sequence' => 1, 'kind' => 'take', 'taken_at' => gmdate('c'), 'slot' => 'corner-left', 'text' => '90.'.random_int(0, 9),
        ]]])[0]];
    }

    /** @return int the status of a change of the run's depth, made against the version that is newest now */
    public function edit(): int
    {
        [$status, $answer] = $this->ask('GET', "/api/jobs/$this->job?station=fit");

        return $status !== 200 ? $status : $this->ask('POST', "/api/jobs/$this->job/edits", ['target' => $this->space, 'version' => $answer['job']['spaces'][0]['version'], 'path' => "layout.runs.$this->run.depth", 'value' => (string) random_int(330, 360)])[0];
    }

    public static function uuid(): string
    {
        $hex = bin2hex(random_bytes(16));

        return sprintf('%s-%s-4%s-8%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20, 12));
    }
}

<?php

declare(strict_types=1);

namespace App\Auth;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, written only when something in them changed, and else every few minutes to say that they are in use. */
final class QuietSessions extends DatabaseSessionHandler
{
    /** Seconds: how exactly it is known when a session was last used. */
    private const EXACT = 300;

    /** @var array{id: string, payload: string, user: ?string, used: int}|null as it is stored */
    private ?array $stored = null;

    public function read($sessionId): string
    {
        $this->stored = null;
        $row = $this->getQuery()->find($sessionId);
        if ($row === null) {
            return '';
        }
        $this->exists = true;
        if ($this->expired($row)) {
            return '';
        }
        $payload = (string) base64_decode((string) $row->payload, true);
        $this->stored = ['id' => $sessionId, 'payload' => $payload, 'user' => $row->user_id, 'used' => (int) $row->last_activity];

        return $payload;
    }

    public function write($sessionId, $data): bool
    {
        $isAsStored = $this->stored !== null && $this->stored['id'] === $sessionId && $this->stored['payload'] === $data
            && $this->stored['user'] === $this->userId() && $this->stored['used'] > $this->currentTime() - self::EXACT;

        return $isAsStored || parent::write($sessionId, $data);
    }
}

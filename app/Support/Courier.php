<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Hands a message to the mail program of this machine, where one is configured (IRON_START_SENDMAIL, such as
 * "/usr/sbin/sendmail -t -i"). Without one nothing is sent: links are handed over by whoever made them.
 */
final readonly class Courier
{
    public function __construct(private string $command, private string $from)
    {
    }

    /** @return bool whether the mail program took it */
    public function send(string $to, string $subject, string $text): bool
    {
        if ($this->command === '' || preg_match('/[\r\n]/', $to . $subject) === 1) {
            return false;
        }
        $process = proc_open($this->command, [['pipe', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes);
        if ($process === false) {
            return false;
        }
        fwrite($pipes[0], "From: $this->from\r\nTo: $to\r\nSubject: =?UTF-8?B?" . base64_encode($subject) . "?=\r\nMIME-Version: 1.0\r\nContent-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: base64\r\n\r\n" . chunk_split(base64_encode($text)));
        fclose($pipes[0]);

        return proc_close($process) === 0;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Faults;

use DOMDocument;
use DOMElement;
use DOMXPath;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\GuzzleException;
use RuntimeException;

/** Somebody with a browser who fills in forms, presses buttons, and tries again when nobody answers. */
final class Visitor
{
    private readonly Client $client;

    public string $html = '';

    public string $path = '';

    public function __construct(private readonly string $base)
    {
        $this->client = new Client([
            'base_uri' => $base,
            'cookies' => new CookieJar(),
            'timeout' => 20,
            'connect_timeout' => 5,
            'http_errors' => false,
            'allow_redirects' => ['track_redirects' => true],
        ]);
    }

    /** Loads a page, again and again for as long as nobody answers. */
    public function go(string $path): self
    {
        for ($until = time() + 90; time() < $until; usleep(300_000)) {
            try {
                $answer = $this->client->get($path);
            } catch (GuzzleException) {
                continue;
            }
            if ($answer->getStatusCode() < 500) {
                $this->html = (string) $answer->getBody();
                $this->path = $path;
                if (str_contains($this->html, 'action="/login"') && $path !== '/login') {
                    $this->login();

                    continue;
                }

                return $this;
            }
        }

        throw new RuntimeException("{$path} did not answer within a minute and a half.");
    }

    public function login(): self
    {
        $this->client->post('/login', ['form_params' => ['name' => 'warden', 'password' => 'thistledown-demo']]);

        return $this;
    }

    /**
     * Sends the form whose button has these words, or that goes to this address.
     *
     * @param  array<string, string>  $typed
     * @return bool whether it was acknowledged
     */
    public function press(string $button, array $typed = []): bool
    {
        $document = new DOMDocument();
        $document->loadHTML('<?xml encoding="utf-8">'.$this->html, LIBXML_NOERROR | LIBXML_NOWARNING);
        $find = new DOMXPath($document);
        foreach ($find->query('//button') ?: [] as $found) {
            if (
                ! ($found instanceof DOMElement) ||
                ! str_contains($found->textContent.' '.$found->getAttribute('formaction'), $button)
            ) {
                continue;
            }
            $id = $found->getAttribute('form');
            $form =
                $id !== ''
                    ? ($find->query("//form[@id='{$id}']") ?: null)?->item(0)
                    : ($find->query('ancestor::form', $found) ?: null)?->item(0);
            if (! ($form instanceof DOMElement)) {
                throw new RuntimeException("“{$button}” is in no form.");
            }

            return $this->send($found->getAttribute('formaction') ?: $form->getAttribute('action'), [
                ...$this->fields($find, $form),
                ...$typed,
            ]);
        }

        throw new RuntimeException("There is no button “{$button}” on {$this->path}.");
    }

    public function has(string $text): bool
    {
        return str_contains($this->html, $text);
    }

    /** @param  array<string, string>  $fields */
    private function send(string $action, array $fields): bool
    {
        try {
            $answer = $this->client->post($action, ['form_params' => $fields]);
        } catch (GuzzleException) {
            return false;
        }
        if ($answer->getStatusCode() >= 500) {
            return false;
        }
        $this->html = (string) $answer->getBody();
        $this->path = (string) (array_slice($answer->getHeader('X-Guzzle-Redirect-History'), -1)[0] ?? $action);

        return $answer->getStatusCode() < 400;
    }

    /** @return array<string, string> */
    private function fields(DOMXPath $find, DOMElement $form): array
    {
        $fields = [];
        $id = $form->getAttribute('id');
        foreach (
            [
                ...iterator_to_array($find->query('.//input | .//textarea | .//select', $form) ?: [], false),
                ...$id === '' ? [] : iterator_to_array($find->query("//input[@form='{$id}']") ?: [], false),
            ] as $field
        ) {
            if (
                ! ($field instanceof DOMElement) ||
                $field->getAttribute('name') === '' ||
                (in_array($field->getAttribute('type'), ['checkbox', 'radio'], true) &&
                    ! $field->hasAttribute('checked'))
            ) {
                continue;
            }
            $chosen =
                $field->tagName === 'select'
                    ? ($find->query('.//option[@selected]', $field) ?: null)?->item(0) ??
                        ($find->query('.//option', $field) ?: null)?->item(0)
                    : null;
            $fields[$field->getAttribute('name')] = match ($field->tagName) {
                'select' => $chosen instanceof DOMElement ? $chosen->getAttribute('value') : '',
                'textarea' => ltrim($field->textContent, "\n"),
                default => $field->getAttribute('value'),
            };
        }

        return $fields;
    }
}

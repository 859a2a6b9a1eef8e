<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\WebDriverKeys;
use RuntimeException;

/** A person without a mouse: reaches things by the tab key, and sees where they are. */
final readonly class Keyboard
{
    /** More stops than any page has. */
    private const STOPS = 160;

    private const TRIES = 10;

    public function __construct(private Chrome $chrome)
    {
    }

    public function keys(string $keys): void
    {
        for ($try = 1; ; $try++) {
            try {
                $this->chrome->driver->getKeyboard()->sendKeys($keys);

                return;
            } catch (StaleElementReferenceException|ElementNotInteractableException $gone) {
                // The page changed between the look for where the keys go and the keys, which went nowhere; what stays
                // without reach for keys is still told after the last try.
                $try < self::TRIES || throw $gone;
                usleep(100_000);
            }
        }
    }

    public function isAt(string $selector): bool
    {
        return (bool) $this->chrome->driver->executeScript(
            'return document.activeElement.matches(arguments[0])',
            [$selector],
        );
    }

    public function tabTo(string $selector): void
    {
        for ($i = 0; $i < self::STOPS && ! $this->isAt($selector); $i++) {
            $this->keys(WebDriverKeys::TAB);
        }
        $this->isAt($selector) ||
            throw new RuntimeException(
                "Tab never reached {$selector} at ".$this->chrome->driver->getCurrentURL(),
            );
        $outline = $this->chrome->driver->executeScript(
            'return getComputedStyle(document.activeElement).outlineStyle + getComputedStyle(document.activeElement).boxShadow',
        );
        expect($outline)->not->toBe('nonenone');
    }

    public function press(string $selector): void
    {
        $this->tabTo($selector);
        $this->keys(WebDriverKeys::ENTER);
    }

    public function fill(string $selector, string $text): void
    {
        $this->tabTo($selector);
        $this->chrome->driver->executeScript('document.activeElement.select()');
        $this->keys($text);
    }

    /**
     * Ways to press, to fill and to pick, as a run is played with.
     *
     * @return array{callable(string): void, callable(string, string): void, callable(string, int): void}
     */
    public function ways(): array
    {
        return [
            function (string $selector): void {
                // A step that asks for nothing is done by its key.
                $byKey =
                    $selector === '[data-done]' &&
                    $this->chrome->has('#step-title') &&
                    ! $this->chrome->has('form .field-set :is(input, textarea)');
                $byKey ? $this->keys('x') : $this->press($selector);
            },
            $this->fill(...),
            function (string $name, int $down): void {
                $this->tabTo("input[name={$name}]");
                $this->keys(' ');
                for ($i = 0; $i < $down; $i++) {
                    $this->keys(WebDriverKeys::ARROW_DOWN);
                }
            },
        ];
    }
}

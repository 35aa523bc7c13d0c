import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';
import { existsSync, readFileSync } from 'node:fs';

const MOST_LINES = 40;
/** What an alert says stands in the lines below it. */
const BELOW = 3;
const SAYS = /^\s*- (alert|status|dialog|alertdialog)/;
/** What says how a page stood: its headings, what it says by itself, and what could not be pressed. */
const TELLING = /^\s*- (?:'|")?(heading|alert|status|dialog|alertdialog|.*\[disabled\])/;

/** Says at the end what stood on the page where a journey failed: where nobody is there to look, it is all there is. */
export default class WhatWasShown implements Reporter {
  private readonly shown: string[] = [];

  onTestEnd(test: TestCase, result: TestResult): void {
    if (result.status === 'passed' || result.status === 'skipped') return;
    const path = result.attachments.find(({ name }) => name === 'error-context')?.path;
    if (path === undefined || !existsSync(path)) return;
    const lines = readFileSync(path, 'utf8')
      .split('\n')
      .filter(
        (line, i, all) =>
          TELLING.test(line) || all.slice(Math.max(0, i - BELOW), i).some((above) => SAYS.test(above)),
      );
    this.shown.push(
      `${test.title}, on the page:`,
      ...lines.slice(0, MOST_LINES).map((line) => `  ${line.trim()}`),
    );
  }

  onEnd(): void {
    if (this.shown.length > 0) process.stdout.write(`\n${this.shown.join('\n')}\n`);
  }

  printsToStdio(): boolean {
    return false;
  }
}

/**
 * What watches in the page: `watchFor` begins with the next press, and is told once
 * the words, no more of some words, a field's or slider's new value, or a choice made, are on the page and a frame was
 * painted with them. It looks at nothing but what can be the answer, so that looking takes no time from what is measured:
 * at what is there already, and at what comes or changes. `watchFrames` gathers what lies between frames, and
 * `postedMs` when workers were asked.
 */
export const watcher = `
  window.isShown = (element) => element.isConnected && element.checkVisibility({ visibilityProperty: true }) && element.getClientRects().length > 0;
  window.postedMs = new Map();
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message, ...rest) {
    if (message?.id) window.postedMs.set(message.id, performance.timeOrigin + performance.now());
    return post.call(this, message, ...rest);
  };
  window.answers = ({ words, gone, chosen, field, slider, row }) => {
    const kind = words || gone ? null : chosen ? '[role=radio]' : field ? 'input' : slider ? '[role=slider]' : '[role=button]';
    const pattern = words || gone ? new RegExp(words ?? gone) : null;
    const named = chosen ?? field ?? slider ?? row?.split(',')[0];
    const all = new Set();
    const add = (node) => {
      if (node.nodeType === Node.TEXT_NODE) {
        if (pattern?.test(node.data.trim())) all.add(node);
        return;
      }
      if (node.nodeType !== Node.ELEMENT_NODE) return;
      if (kind) {
        for (const one of [node, ...node.querySelectorAll(kind)])
          if (one.matches(kind) && (one.ariaLabel ?? one.textContent).trim().startsWith(named)) all.add(one);
        return;
      }
      const walker = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
      while (walker.nextNode()) add(walker.currentNode);
    };
    add(document.body);
    new MutationObserver((changes) => {
      for (const { target, addedNodes } of changes) {
        if (target.nodeType === Node.TEXT_NODE) add(target);
        for (const node of addedNodes) add(node);
      }
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
    return all;
  };
  // What it says is painted no more: it is gone, or left out.
  window.isGone = (all, { gone }) => {
    const pattern = new RegExp(gone);
    return ![...all].some((text) => pattern.test(text.data.trim()) && text.parentElement !== null && window.isShown(text.parentElement));
  };
  window.valueOf = (all, { field }) => {
    const one = [...all].find(window.isShown);
    return (field ? one?.value : one?.ariaValueNow) ?? null;
  };
  window.seenNow = (all, asked, before) => {
    const { words, gone, chosen, row } = asked;
    if (gone) return window.isGone(all, asked);
    // What comes of a choice may be told behind its name.
    const isNamed = (radio) => (radio.ariaLabel ?? radio.textContent).trim().split(',')[0] === chosen;
    if (chosen) return [...all].some((radio) => radio.ariaChecked === 'true' && isNamed(radio) && window.isShown(radio));
    if (row) return [...all].some((button) => button.ariaLabel?.startsWith(row) && window.isShown(button));
    if (!words) return window.valueOf(all, asked) !== before;
    const pattern = new RegExp(words);
    return [...all].some((text) => text.parentElement !== null && pattern.test(text.data.trim()) && window.isShown(text.parentElement));
  };
  window.watchFor = (asked, begins) => {
    window.answeredMs = null;
    window.postedMs.clear();
    const all = window.answers(asked);
    const before = asked.field || asked.slider ? window.valueOf(all, asked) : null;
    addEventListener(begins, (event) => {
      const begun = event.timeStamp;
      let coming = false;
      // Looked at before the frame that follows a change is painted: what is seen then is painted with it.
      const look = () => {
        coming = false;
        if (!window.seenNow(all, asked, before)) {
          // What a field holds is no part of the page’s tree: it is looked at in every frame.
          if (asked.field) soon();
          return;
        }
        changes.disconnect();
        // Right after the frame, ahead of all else that waits: what comes later is no part of this answer.
        void scheduler.postTask(() => {
          window.answeredMs = performance.now() - begun;
          window.spanMs = [begun, performance.now()].map((ms) => performance.timeOrigin + ms);
        }, { priority: 'user-blocking' });
      };
      const soon = () => {
        if (coming) return;
        coming = true;
        requestAnimationFrame(look);
      };
      const changes = new MutationObserver(soon);
      changes.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
      soon();
    }, { once: true, capture: true });
  };
  window.watchFrames = (forMs) => new Promise((done) => {
    const between = [];
    const begun = performance.now();
    let last = begun;
    const next = (now) => {
      between.push(now - last);
      last = now;
      if (now - begun < forMs) requestAnimationFrame(next);
      else done(between.slice(1));
    };
    requestAnimationFrame(next);
  });
`;

/** In a worker: notes when it answered what it was asked. */
export const replies = `
  self.repliedMs = new Map();
  const reply = self.postMessage;
  self.postMessage = (message, ...rest) => {
    if (message?.id) self.repliedMs.set(message.id, performance.timeOrigin + performance.now());
    return reply.call(self, message, ...rest);
  };
`;

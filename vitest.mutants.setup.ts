import fc from 'fast-check';

// Where every change is tried by every test that reaches it, a property has half a second.
fc.configureGlobal({ seed: 1, interruptAfterTimeLimit: 500 });

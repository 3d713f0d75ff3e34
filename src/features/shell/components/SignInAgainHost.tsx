'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';

const SignInAgain = dynamic(() => import('./SignInAgain').then((module) => module.SignInAgain), {
  ssr: false,
});

/** Listens for work that met an ended session, and asks for the password in place. */
export function SignInAgainHost({ login }: { login: string }) {
  const [waiting, setWaiting] = useState<((signedIn: boolean) => void)[]>([]);
  useEffect(() => {
    const listen = (event: Event): void => {
      event.preventDefault();
      setWaiting((all) => [...all, (event as CustomEvent<(signedIn: boolean) => void>).detail]);
    };
    window.addEventListener('jiten-sign-in', listen);
    return () => window.removeEventListener('jiten-sign-in', listen);
  }, []);
  if (waiting.length === 0) return null;
  const answer = (signedIn: boolean): void => {
    for (const resolve of waiting) resolve(signedIn);
    setWaiting([]);
  };
  return <SignInAgain login={login} onAnswer={answer} />;
}

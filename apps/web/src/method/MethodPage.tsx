import { useEffect, useState } from 'react'
import Markdown, { type Components } from 'react-markdown'
import { Link, useParams } from 'react-router'
import remarkGfm from 'remark-gfm'
import { contents, readMethod } from './pages'
import { FitTable } from '../ui/FitTable'

/** A page of the method, or the list of them. */
export function MethodPage() {
  const { subject = contents } = useParams()
  const [read, setRead] = useState<{ subject: string; text: string | undefined }>()
  useEffect(() => {
    let here = true
    void Promise.resolve(readMethod(subject)).then((text) => {
      if (here) setRead({ subject, text })
    })
    return () => {
      here = false
    }
  }, [subject])
  return (
    <article className="method mx-auto w-full max-w-[760px] px-5 py-4">
      {subject !== contents && (
        <p className="no-print">
          <Link className="plain-link" to="/method">
            All of the method
          </Link>
        </p>
      )}
      {read?.subject !== subject ? (
        <p role="status">Reading the method …</p>
      ) : read.text === undefined ? (
        <>
          <h1>No such page</h1>
          <p>The method has no page of this name.</p>
        </>
      ) : (
        <Markdown remarkPlugins={[remarkGfm]} components={components}>
          {read.text}
        </Markdown>
      )}
    </article>
  )
}

/** Pages lead to each other by file name; tables scroll by themselves on a phone. */
const components: Components = {
  a: ({ href = '', children }) => (
    <Link className="plain-link" to={`/method/${href.replace(/\.md$/, '')}`}>
      {children}
    </Link>
  ),
  table: ({ children }) => <FitTable>{children}</FitTable>,
}

import { lazy, Suspense, type ComponentType } from 'react'
import { createBrowserRouter, Navigate } from 'react-router'
import { PageError } from './PageError.tsx'
import { Home, Shell } from './Shell.tsx'

/** Each page is a file of its own: a member's phone never loads the workbench. */
const page = (load: () => Promise<{ default: ComponentType }>) => {
  const Page = lazy(load)
  return (
    <Suspense fallback={<p className="p-6 text-bark">Loading…</p>}>
      <Page />
    </Suspense>
  )
}

export const router = createBrowserRouter([
  {
    path: '/sign-in',
    element: page(() => import('../features/accounts/SignInPage.tsx')),
    errorElement: <PageError />,
  },
  {
    element: <Shell />,
    errorElement: <PageError />,
    children: [
      { path: '/', element: <Home /> },
      { path: '/templates', element: page(() => import('../features/templates/TemplatesPage.tsx')) },
      { path: '/templates/:id', element: page(() => import('../features/templates/EditorPage.tsx')) },
      { path: '/exercises', element: page(() => import('../features/library/LibraryPage.tsx')) },
      { path: '/members', element: page(() => import('../features/members/MembersPage.tsx')) },
      { path: '/today', element: page(() => import('../features/training/TodayPage.tsx')) },
      { path: '/progress', element: page(() => import('../features/progress/ProgressPage.tsx')) },
      { path: '/members/:id/progress', element: page(() => import('../features/progress/ProgressPage.tsx')) },
      { path: '/members/:id/maxes', element: page(() => import('../features/maxes/MaxesPage.tsx')) },
      { path: '/max-table', element: page(() => import('../features/maxes/MaxTablePage.tsx')) },
      { path: '/maxes', element: page(() => import('../features/maxes/MaxesPage.tsx')) },
      { path: '/locations', element: page(() => import('../features/equipment/LocationsPage.tsx')) },
      { path: '/equipment', element: page(() => import('../features/equipment/OwnEquipmentPage.tsx')) },
      { path: '/calculator', element: page(() => import('../features/calculator/CalculatorPage.tsx')) },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
])

import { lazy, Suspense, useEffect, type ComponentType, type ReactNode } from 'react'
import { Navigate, Route, Routes, useLocation } from 'react-router'
import { PageBoundary } from './PageBoundary.tsx'
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

const pages: Record<string, ReactNode> = {
  '/templates': page(() => import('../features/templates/TemplatesPage.tsx')),
  '/templates/:id': page(() => import('../features/templates/EditorPage.tsx')),
  '/templates/:id/publish': page(() => import('../features/publications/PublishPage.tsx')),
  '/exercises': page(() => import('../features/library/LibraryPage.tsx')),
  '/members': page(() => import('../features/members/MembersPage.tsx')),
  '/members/:id/:page': page(() => import('../features/members/MemberPage.tsx')),
  '/today': page(() => import('../features/training/TodayPage.tsx')),
  '/progress': page(() => import('../features/progress/ProgressPage.tsx')),
  '/max-table': page(() => import('../features/maxes/MaxTablePage.tsx')),
  '/maxes': page(() => import('../features/maxes/MaxesPage.tsx')),
  '/locations': page(() => import('../features/equipment/LocationsPage.tsx')),
  '/equipment': page(() => import('../features/equipment/OwnEquipmentPage.tsx')),
  '/calculator': page(() => import('../features/calculator/CalculatorPage.tsx')),
  '/people/:list?': page(() => import('../features/people/PeoplePage.tsx')),
  '/gym': page(() => import('../features/gym/GymPage.tsx')),
  '/profile': page(() => import('../features/profile/ProfilePage.tsx')),
  '/account': page(() => import('../features/accounts/AccountPage.tsx')),
}
/** Pages for somebody who is not signed in yet. */
const outside: Record<string, ReactNode> = {
  '/sign-in': page(() => import('../features/accounts/SignInPage.tsx')),
  '/set-up': page(() => import('../features/gym/SetUpPage.tsx')),
  '/join': page(() => import('../features/people/JoinPage.tsx')),
  '/reset': page(() => import('../features/accounts/ResetPage.tsx')),
}

const routesOf = (of: Record<string, ReactNode>) =>
  Object.entries(of).map(([path, element]) => <Route key={path} path={path} element={element} />)

/** Every page by its address. */
export function Pages() {
  const { pathname } = useLocation()
  // Another page begins at its top, however far the last one was scrolled.
  useEffect(() => void scrollTo(0, 0), [pathname])
  return (
    <PageBoundary at={pathname}>
      <Routes>
        {routesOf(outside)}
        <Route element={<Shell />}>
          <Route path="/" element={<Home />} />
          {routesOf(pages)}
          <Route path="*" element={<Navigate to="/" replace />} />
        </Route>
      </Routes>
    </PageBoundary>
  )
}

import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { Controller, useForm } from 'react-hook-form'
import { View } from 'react-native'
import { signInSchema, type SignIn as Given } from '@jokulgale/contract/session'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useSync } from '../sync/SyncContext'

export function SignIn() {
  const sync = useSync()
  const palette = usePalette()
  const [problem, setProblem] = useState('')
  const { control, handleSubmit, formState } = useForm<Given>({
    resolver: yupResolver(signInSchema),
    defaultValues: { email: '', password: '' },
  })
  const submit = handleSubmit(async (given) => {
    setProblem('')
    await sync.signIn({ ...given, email: given.email.trim() }).catch((error: unknown) => {
      setProblem(error instanceof Error ? error.message : String(error))
    })
  })
  return (
    <Screen maxWidth={420}>
      <View
        style={{ marginTop: space.huge * 2, flexDirection: 'row', gap: space.large, alignItems: 'stretch' }}
      >
        <View aria-hidden style={{ width: 4, borderRadius: 2, overflow: 'hidden' }}>
          <View style={{ flex: 3, backgroundColor: palette.live }} />
          <View style={{ flex: 2, backgroundColor: palette.dead }} />
        </View>
        <View style={{ flex: 1 }}>
          <Words size="title" strong role="heading" aria-level={1}>
            Jokulgale
          </Words>
          <Words quiet>Where did the call stop, and why.</Words>
        </View>
      </View>
      <View style={{ gap: space.small }}>
        <Controller
          control={control}
          name="email"
          render={({ field, fieldState }) => (
            <Field
              label="E-mail"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              errorMessage={fieldState.error?.message}
              autoCapitalize="none"
              autoComplete="username"
              inputMode="email"
            />
          )}
        />
        <Controller
          control={control}
          name="password"
          render={({ field, fieldState }) => (
            <Field
              label="Password"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              errorMessage={fieldState.error?.message}
              secureTextEntry
              autoComplete="current-password"
              onSubmitEditing={() => {
                void submit()
              }}
            />
          )}
        />
      </View>
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press
        kind="main"
        title="Sign in"
        busy={formState.isSubmitting}
        onPress={() => {
          void submit()
        }}
      />
      <Words size="small" quiet>
        The numbers support your judgement. The unit’s own diagram and nameplate, the manufacturer, local code
        and licensed practice come first.
      </Words>
    </Screen>
  )
}

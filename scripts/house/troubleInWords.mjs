const troubles = {
  EACCES: 'may not be written to by this user',
  EPERM: 'may not be written to by this user',
  EROFS: 'is on a disk that can only be read',
  ENOSPC: 'is on a disk that is full',
}

/** What stopped a start, in words and with what to do; `folder` is where everything is kept. */
export function troubleInWords(error, folder) {
  const trouble = troubles[error.code]
  if (!trouble) return error.message
  return `${error.path ?? folder} ${trouble}. Nothing was changed. Everything is kept in ${folder}: put that right, and start again.`
}

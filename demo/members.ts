export interface MemberStory {
  name: string
  email: string
  password: string
}

/** Belongs to both shops. */
export const owner: MemberStory = {
  name: 'Mara Oduya',
  email: 'mara@wrenfield.example',
  password: 'wax-and-twine-44',
}

/** Belongs to the smaller one only. */
export const helper: MemberStory = {
  name: 'Ned Pellow',
  email: 'ned@saltmarshlane.example',
  password: 'ink-and-brass-71',
}

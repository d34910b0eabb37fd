# frozen_string_literal: true

module Store
  # What a page asked for: +id+ is the page's own for the act, the same when it is asked for again;
  # +answer+ is what the answer tells besides the drawing, and +kept+ is whether an act came of it.
  Request = Struct.new(:id, :answer, :kept)
end

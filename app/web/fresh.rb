# frozen_string_literal: true

module Web
  # What a handler made that the page selects now: the +ids+ of new elements; +of+ is what they were made of.
  Fresh = Struct.new(:of, :ids)
end

# frozen_string_literal: true

module Basalt
  module Model
    # What elements of a kind are in or of. +owner+ are the kinds that it may be a part of, +containers+ those that it may be in;
    # +outer+ tells, of an element and one of these, whether it may. +moving+ is the change by which it goes into a container, where
    # more goes along than it alone. +ordered+ is the fact that holds its key of order among others (see Change::OrderKey). What is +local+
    # is in what its sheet is about, and nowhere else: that answers, for a draft and a sheet, the id of what holds it there.
    KindBelonging = Value.of(:outer, :moving, :ordered, :local, owner: [], containers: [])
  end
end

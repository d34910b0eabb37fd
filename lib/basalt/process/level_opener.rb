# frozen_string_literal: true

module Basalt
  module Process
    # The level beneath a process, as a sheet that can be made for it.
    class LevelOpener
      NOTATION = "data flow"

      def name = "level beneath"
      def opens?(_set, element) = element.kind == "process"
      def title(process) = process.name
      def draw(draft, process) = LevelSheet.level(draft, process)
    end
  end
end

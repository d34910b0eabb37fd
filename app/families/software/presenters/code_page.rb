# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # A file of source code before it is taken, and how far that is.
        class CodePage
          # So many steps are shown one by one; a first time has more and is taken whole.
          MOST = 400

          # @param task [Store::Task, nil]
          def initialize(set, intake, task)
            @set = set
            @intake = intake
            @task = task
          end

          def title = @intake.file_name
          def steps = @steps ||= file.steps(@set)
          def count = file.count
          def xmi? = file.xmi?
          def skipped = file.skipped
          def many? = steps.length > MOST

          # @return [Hash{Symbol => Integer}] how many steps of each act
          def counts = steps.map(&:act).tally

          def state = @task.state
          def finished? = @task.finished?
          def reason = @task.result&.fetch("reason", nil)
          def taken = @task.result&.fetch("classes", 0)
          def left_out = @task.result&.fetch("skipped", nil) || []
          def untold = @task.result&.fetch("left", 0).to_i

          # @return [Array<String>] names to choose from
          def names = @set.of_kind("package", "class").map(&:name).uniq.first(2000)

          private

          def file = @file ||= CodeFile.new(@intake.file_name, @intake.content)
        end
      end
    end
  end
end

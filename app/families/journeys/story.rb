# frozen_string_literal: true

module Web
  module Families
    module Journeys
      # A journey told line by line, with what each lacks.
      class Story
        Core = Basalt::Journeys
        Line = Basalt::Value.of(:number, :text, :step, :lacking)

        # @param walked [Core::Survey::Walked]
        def initialize(set, walked)
          @set = set
          @walked = walked
        end

        # @return [Array<Line>]
        def lines
          steps = @walked.steps.to_h { |step| [step.element.id, step] }
          @walked.course.entries.map { |entry| line(entry, steps[entry.element.id]) }
        end

        # @return [String] Markdown with the pictures beside it
        def self.markdown(journey, lines)
          about = [("By #{journey["who"]}." if journey["who"]), ("What for: #{journey["goal"]}." if journey["goal"])].compact
          head = ["# #{journey.name}", "", *about.flat_map { |line| [line, ""] }]
          body = lines.flat_map do |line|
            ["## #{line.text}", "", *(["![step #{line.number}](#{line.number}.svg)", ""] if line.step)]
          end
          [*head, *body].join("\n")
        end

        private

        def line(entry, step)
          one = entry.element
          words = step ? Presenters::Told.words(one) : Presenters::Told.branch(one)
          lacking = step && lacking(step)
          onwards = @walked.course.resumes(one.id)&.then { |id| ", then #{@walked.course.number(id)}" }
          Line.new(number: entry.number, step:, lacking:, text: "#{entry.number} #{words}#{onwards}#{" (#{lacking})" if lacking}")
        end

        # @return [String, nil]
        def lacking(step)
          absent = { "from" => step.from, "to" => step.to, "reads" => step.reads, "writes" => step.writes }
            .filter_map { |fact, part| step.element[fact] if step.element[fact] && part.nil? }
          return "#{Basalt::English.list(absent)} not there" if absent.any?

          "nothing joins the two" if step.lines && step.lines.empty?
        end
      end
    end
  end
end

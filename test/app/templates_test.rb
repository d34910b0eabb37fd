# frozen_string_literal: true

require_relative "../support/app_helper"

# Templates get values: whatever is worked out, looked up or chosen is so before they are reached.
class TemplatesTest < Minitest::Test
  COMPUTING = {
    "a class of the storeys below" => /\b(Basalt|Store|Web|Drawings|CommandLine|JSON|URI|Zlib|Date|Time)\b(::|\.)/,
    "the model" => /\.set\b|\bset\./,
    "a block that is kept" => /->|\blambda\b|\bproc\b/,
    "choosing and making" =>
      /\.(select|reject|map|filter_map|flat_map|group_by|sort_by|sort|find|partition|zip|scan|g?sub|tr|sum|tally|uniq|reduce)\b/,
    "a value that is set" => /<%(?!=)[^%]*?(?<![=!<>])=(?![=>~])/,
    "an instance variable" => /<%[^%]*@/
  }.freeze
  LONGEST = 160
  TEMPLATES = Dir[File.join(APPLICATION_ROOT, "app/**/views/*.erb")].freeze

  def test_templates_compute_nothing
    found =
      TEMPLATES.flat_map do |path|
        ruby = File.read(path).scan(/<%.*?%>/m)
        COMPUTING.flat_map { |what, shape| ruby.grep(shape).map { |code| "#{File.basename(path)}: #{what}: #{code}" } }
      end
    assert_operator TEMPLATES.length, :>, 60
    assert_empty found
  end

  def test_lines_of_templates_can_be_read
    long = TEMPLATES.flat_map { |path| File.readlines(path, chomp: true).select { |line| line.length > LONGEST } }
    assert_empty long
  end

  def test_handlers_hand_nothing_over_in_variables_of_the_instance
    handlers = Dir[File.join(APPLICATION_ROOT, "app/{web,families}/**/*routes.rb")]
    set = handlers.flat_map { |path| File.readlines(path).grep(/^\s*@\w+ \|*= ?/).map { |line| "#{path}: #{line}" } }
    assert_empty set
  end
end

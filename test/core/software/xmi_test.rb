# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_software"
require "json_schemer"
require "nokogiri"
require "prism"

# Software structure as XMI, both ways, and as skeletons of code.
class XmiTest < Minitest::Test
  include CoreHelper

  Xmi = Basalt::Software::Xmi
  Skeleton = Basalt::Software::Skeleton
  SEEDS = 40
  # What is no software structure.
  OTHERS = %w[as_read].freeze

  def draft = Change::Draft.new(Model::WorkingSet.new, ids: -> { SecureRandom.uuid })

  def read(text)
    reader = Xmi::Reader.new(text)
    one = draft
    reader.into(one)
    [one, reader.skipped]
  end

  # Elements without ids, order or sheets.
  def told(set) = facts(set)[1]

  def test_whatever_is_modelled_comes_back_from_xmi
    SEEDS.times do |seed|
      set = model(GeneratedSoftware.new(seed).text)
      back, skipped = read(Xmi::Writer.new(set).document)
      assert_empty skipped, "seed #{seed}"
      assert_equal told(set), told(back), "seed #{seed}\n#{reading(set)}"
    end
  end

  def test_a_document_is_unqualified_uml_in_xmi
    set = model("sheet C: classes\nclass A\nA has b: Integer [0..1] = 3 {readOnly}\nclass B\nA is composed of 1..* B as parts")
    document = Nokogiri::XML(Xmi::Writer.new(set).document)
    attribute = document.at_xpath("//packagedElement[@name='A']/ownedAttribute[@name='b']")
    bounds = %w[lowerValue upperValue].map { |name| attribute.at_xpath(name)["value"] }
    assert_equal ["true", "0", "1", "3"], [attribute["isReadOnly"], *bounds, attribute.at_xpath("defaultValue/body").text]
    assert_equal "composite", document.at_xpath("//ownedEnd[@name='parts']")["aggregation"]
    ids = document.xpath("//@xmi:id", "xmi" => Xmi::Names::XMI).map(&:value)
    assert_equal ids.uniq, ids
  end

  FOREIGN = <<~XML
    <xmi:XMI xmlns:xmi="http://schema.omg.org/spec/XMI/2.1" xmlns:uml="http://www.eclipse.org/uml2/3.0.0/UML">
     <uml:Model xmi:id="m" name="Other">
      <packagedElement xmi:type="uml:Class" xmi:id="a" name="A">
       <ownedAttribute xmi:id="p" name="count" visibility="private"><type xmi:type="uml:PrimitiveType" href="pathmap://x#Integer"/></ownedAttribute>
       <ownedAttribute xmi:id="q" name="b" type="b" association="s"/>
       <generalization xmi:id="g" general="nowhere"/>
       <ownedBehavior xmi:type="uml:Activity" xmi:id="y" name="Do"/>
      </packagedElement>
      <packagedElement xmi:type="uml:Class" xmi:id="b" name="B"/>
      <packagedElement xmi:type="uml:Association" xmi:id="s" memberEnd="q r"><ownedEnd xmi:id="r" type="a"/></packagedElement>
      <packagedElement xmi:type="uml:Dependency" xmi:id="d" client="a" supplier="b"/>
      <packagedElement xmi:type="uml:Collaboration" xmi:id="c" name="Together"/>
     </uml:Model>
    </xmi:XMI>
  XML

  def test_xmi_from_elsewhere_is_taken_as_far_as_it_is_known
    set, skipped = read(FOREIGN)
    assert_equal %w[A B], set.of_kind("class").map(&:name)
    texts = set.of_kind("property").map { |part| Basalt::Software::Classes::Facts.feature(part).to_s }
    assert_equal ["-count: Integer", "b: B"], texts
    assert_equal 1, set.of_kind("dependency").length
    assert_equal ["Activity Do", "Collaboration Together", "generalization"], skipped.map(&:first).sort
  end

  def test_what_is_no_xmi_is_refused_in_words
    bomb = "<!DOCTYPE x [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;\">]><xmi>&b;</xmi>"
    { bomb => "entities", "<a><b></a>" => "no XML", "<a/>" => "no model of UML", "" => "no XML" }.each do |text, words|
      refused = assert_raises(Basalt::Mistake, text) { read(text) }
      assert_includes refused.message, words
    end
    outside = "<!DOCTYPE x SYSTEM \"file:///etc/passwd\"><x/>"
    assert_raises(Basalt::Mistake) { read(outside) }
    assert_raises(Basalt::Mistake) { read("<a>" * 3000) }
  end

  def test_skeletons_are_ruby_that_can_be_read_and_say_what_the_model_says
    SEEDS.times do |seed|
      set = model(GeneratedSoftware.new(seed).classes.join("\n"))
      files = Skeleton::Ruby.new(set, set.of_kind("class")).files
      ruby = files.select { |name, _| name.end_with?(".rb") }
      ruby.each { |name, text| assert_empty Prism.parse(text).errors.map(&:message), "seed #{seed}: #{name}\n#{text}" }
    end
    set = model("sheet C: classes\npackage desk\nclass Crew in desk\nCrew has +code: String {readOnly}, -secret\n" \
                "Crew can +send(to: String): Boolean\nclass Technician\nCrew gathers 2..6 Technician as members")
    texts = Skeleton::Ruby.new(set, set.of_kind("class")).files
    assert_equal "# frozen_string_literal: true\n\nmodule Desk\n  class Crew\n    attr_reader :code\n    attr_accessor :members\n\n    " \
                 "def send(to)\n      # gives Boolean\n    end\n  end\nend\n", texts["lib/desk/crew.rb"]
    assert_includes texts["sig/desk/crew.rbs"], "attr_accessor members: Array[::Technician]"
    back = Basalt::Software::Reverse::RubySource.read(texts.select { |name, _| name.end_with?(".rb") })
    assert_equal ["+code {readOnly}", "+members", "+send(to)"], back.at(%w[Desk Crew]).features.map(&:to_s)
  end

  def test_data_types_are_a_schema_that_documents_can_be_checked_by
    set = model("sheet C: classes\nabstract class Event\nEvent has at: Time\nclass Alarm\nAlarm is a kind of Event\n" \
                "enumeration Level: low, high\nAlarm has level: Level, texts: String [0..*], note: String [0..1]")
    document = JSON.parse(Skeleton::JsonSchema.new(set, set.of_kind("class")).text)
    assert JSONSchemer.valid_schema?(document)
    alarm = JSONSchemer.schema(document.merge("$ref" => "#/$defs/Alarm"))
    assert alarm.valid?({ "at" => "2026-11-26T10:00:00Z", "level" => "low", "texts" => [] })
    refute alarm.valid?({ "at" => "2026-11-26T10:00:00Z", "level" => "odd", "texts" => [] })
    refute alarm.valid?({ "level" => "low", "texts" => [] })
  end
end

# frozen_string_literal: true

# For tests: while the block runs, whatever has the module answers a question otherwise.
module StubAny
  def stub_any(name, answer)
    usual = instance_method(name)
    define_method(name) { |*arguments| answer.call(*arguments) }
    yield
  ensure
    define_method(name, usual)
  end
end
Module.include(StubAny)

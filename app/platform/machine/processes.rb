# frozen_string_literal: true

module App
  # Processes of this machine.
  module Processes
    module_function

    # When one began, in the kernel's ticks since the machine started (proc(5), stat, field 22); nil for none.
    def began(number)
      text = File.read("/proc/#{number}/stat")
      fields = text[(text.rindex(")") + 2)..].split
      (fields[0] == "Z") ? nil : fields[19].to_i
    rescue SystemCallError
      nil
    end
  end
end

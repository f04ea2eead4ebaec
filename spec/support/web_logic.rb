# frozen_string_literal: true

# Runs a module of the front end in node, bundled as Vite bundles it, without a browser.
module WebLogic
  WEB = File.join(TileLoom::ROOT, "web")

  # The value of a JavaScript expression over `m`, the module's exports; several expressions make a list.
  def web(path, *expressions)
    program = <<~JS
      import { rolldown } from "rolldown";
      const bundle = await rolldown({ input: #{JSON.generate("./src/#{path}")} });
      const { output } = await bundle.generate({ format: "esm" });
      const m = await import("data:text/javascript;base64," + Buffer.from(output[0].code).toString("base64"));
      console.log(JSON.stringify([#{expressions.join(", ")}]));
    JS
    found = JSON.parse(outside("node", "--input-type=module", "-e", program, chdir: WEB))
    expressions.one? ? found.first : found
  end
end

RSpec.configure { |config| config.include WebLogic }
